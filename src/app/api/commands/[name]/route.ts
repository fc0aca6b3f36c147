import { signedIn } from '@/server/auth/session';
import { Refusal } from '@/server/commands/command';
import type { Answer } from '@/core/floor/answer';
import { refused, runCommand } from '@/server/commands/run';
import { fromOwnPage, jsonBody } from '@/server/http';

function reply(answer: Answer): Response {
  return Response.json(answer, { status: answer.ok ? 200 : answer.status });
}

/** The one door for every change: who, from where, what; then the command itself. */
export async function POST(
  request: Request,
  { params }: { params: Promise<{ name: string }> },
): Promise<Response> {
  if (!fromOwnPage(request))
    return reply(refused(403, new Refusal('This came from another site and was not done.')));
  const person = await signedIn();
  if (!person)
    return reply(
      refused(401, new Refusal('You are signed out. Sign in and press again; nothing was changed.')),
    );
  const input = await jsonBody(request);
  if (input === undefined) return reply(refused(400, new Refusal('That could not be read, or is too long.')));
  const { name } = await params;
  try {
    return reply(await runCommand(name, person, input));
  } catch (error) {
    console.error(`command ${name}:`, error);
    return reply(
      refused(500, new Refusal('Something went wrong in the house; nothing was changed. Try again.')),
    );
  }
}
