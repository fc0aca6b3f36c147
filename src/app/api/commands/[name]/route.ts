import { coded } from '@/core/codes/coded';
import { runCommand } from '@/server/commands/run';
import { changing, no } from '@/server/door';
import { jsonBody } from '@/server/http';

/** The one door for every change: who, from where, what; then the command itself. */
export function POST(request: Request, { params }: { params: Promise<{ name: string }> }): Promise<Response> {
  return changing(request, 'POST /api/commands', async ({ person, sessionId }, key) => {
    const input = await jsonBody(request);
    if (input === undefined) return no(400, coded('refusals.thatCouldNotBeReadOr'));
    const { name } = await params;
    return runCommand(name, person, input, { sessionId, ...(key === undefined ? {} : { key }) });
  });
}
