import { coded } from '@/core/codes/coded';
import { jsonLines } from '@/core/exchange/json-lines';
import { Refusal } from '../command';

/**
 * Reads a JSON file of ours.
 *
 * @param read - checks the object that is in it
 * @throws {Refusal} where it is no JSON, or a part of it cannot be read; with the line
 */
export function readJsonFile<File>(text: string, read: (raw: Record<string, unknown>) => File): File {
  const { broken, lineOf } = jsonLines(text);
  if (broken || text.trim() === '') {
    const fault = broken ?? { line: 1, why: '' };
    throw new Refusal(coded('product.noJson', { line: fault.line, why: fault.why }), 'text');
  }
  const raw: unknown = JSON.parse(text);
  const isObject = typeof raw === 'object' && raw !== null && !Array.isArray(raw);
  try {
    return read(isObject ? (raw as Record<string, unknown>) : {});
  } catch (error) {
    if (!(error instanceof Refusal) || error.field === null || error.field === 'format') throw error;
    const path = error.field.split('.').map((part) => (/^\d+$/.test(part) ? Number(part) : part));
    const line = lineOf(path);
    if (typeof error.words !== 'string' && error.words.code.startsWith('product.'))
      throw new Refusal(coded('product.inLine', { line, fault: error.words }), 'text');
    throw new Refusal(coded('product.filePartUnread', { part: error.field, line }), 'text');
  }
}
