import { changing } from '@/server/door';
import { pool } from '@/server/db/pool';
import { jsonBody, LARGEST_FILE } from '@/server/http';
import { previewSetUp } from '@/server/set-up-preview';

/** Says what a file of a set-up would bring, and writes nothing. */
export function POST(request: Request): Promise<Response> {
  return changing(request, 'POST /api/setup/read', async () => {
    const asked = (await jsonBody(request, LARGEST_FILE)) as { text?: unknown } | undefined;
    const text = typeof asked?.text === 'string' ? asked.text : '';
    return { ok: true, result: await previewSetUp(pool(), text) };
  });
}
