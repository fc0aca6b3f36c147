import { NextResponse, type NextRequest } from 'next/server';

/** What a page may load and do: itself, with scripts and styles that carry this answer's own nonce. */
const policy = (nonce: string) =>
  [
    "default-src 'self'",
    `script-src 'self' 'nonce-${nonce}' 'strict-dynamic'`,
    `style-src 'self' 'nonce-${nonce}'`,
    // Sizes and places of drawings are attributes of their elements.
    "style-src-attr 'unsafe-inline'",
    "img-src 'self' blob: data:",
    "worker-src 'self'",
    "connect-src 'self'",
    "object-src 'none'",
    "base-uri 'none'",
    "form-action 'self'",
    "frame-ancestors 'none'",
  ].join('; ');

/** Gives every page a content security policy with a nonce of its own; Next puts it on what it writes. */
export function proxy(request: NextRequest): NextResponse {
  const nonce = Buffer.from(crypto.randomUUID()).toString('base64');
  const headers = new Headers(request.headers);
  headers.set('x-nonce', nonce);
  headers.set('content-security-policy', policy(nonce));
  const answer = NextResponse.next({ request: { headers } });
  answer.headers.set('content-security-policy', policy(nonce));
  // Once a browser has seen the bakery by HTTPS it does not come in the open any more.
  if (process.env.HEFETEIG_HTTPS === '1') answer.headers.set('strict-transport-security', 'max-age=31536000');
  return answer;
}

/** Pages alone: routes answer data, and parts of the application are the same for everybody. */
export const config = {
  matcher: [{ source: '/((?!api/|_next/|sw.js|icon.svg|manifest.webmanifest|schemas/).*)' }],
};
