import pino from 'pino';
import { DatabaseError } from './db/rows';

/** Of an error only what says where in the code it happened: messages may carry what people typed. */
function plain(error: unknown): Record<string, unknown> {
  if (error instanceof DatabaseError)
    return { type: 'DatabaseError', code: error.code, stack: framesOf(error) };
  if (!(error instanceof Error)) return { type: typeof error };
  const { code, digest } = error as { code?: unknown; digest?: unknown };
  return {
    ...{ type: error.name, stack: framesOf(error) },
    ...(typeof code === 'string' ? { code } : {}),
    ...(typeof digest === 'string' ? { digest } : {}),
  };
}

/** The places of a stack, without the message above them. */
const framesOf = ({ stack = '' }: Error): string =>
  stack
    .split('\n')
    .filter((line) => line.startsWith('    at '))
    .slice(0, 12)
    .join('\n');

/** The log of this process: a line of JSON each, with no statement, PIN, token or note in it. */
export const log = pino({
  base: null,
  level: process.env.HEFETEIG_LOG ?? 'info',
  timestamp: pino.stdTimeFunctions.isoTime,
  serializers: { err: plain },
});
