import { coded } from '@/core/codes/coded';
import { runCommand } from '@/server/commands/run';
import { changing, no } from '@/server/door';
import { languageHere } from '@/server/reader';
import { jsonBody, LARGEST_BODY, LARGEST_FILE } from '@/server/http';

/** The command that has a whole file in it. */
const WITH_FILE = 'take-set-up';

/** The one door for every change: who, from where, what; then the command itself. */
export function POST(request: Request, { params }: { params: Promise<{ name: string }> }): Promise<Response> {
  return changing(request, 'POST /api/commands', async ({ person, sessionId }, key) => {
    const { name } = await params;
    const input = await jsonBody(request, name === WITH_FILE ? LARGEST_FILE : LARGEST_BODY);
    if (input === undefined) return no(400, coded('refusals.thatCouldNotBeReadOr'));
    return runCommand(name, person, input, {
      ...{ sessionId, language: await languageHere() },
      ...(key === undefined ? {} : { key }),
    });
  });
}
