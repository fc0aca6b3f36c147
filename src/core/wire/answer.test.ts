import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { fateOf, isOpen } from './answer';

const refusal = (status: number) => ({ ok: false, status, message: 'x', field: null, offer: null, to: 'a' });

describe('the fate of what was sent', () => {
  it('is that it is stored, or refused, only by an answer of the application to that very thing', () => {
    expect(fateOf({ ok: true, result: null, to: 'a' }, 'a')).toBe('stored');
    expect(fateOf(refusal(422), 'a')).toBe('refused');
    expect(fateOf({ ok: true, result: null, to: 'b' }, 'a')).toBe('again');
    expect(fateOf({ ok: true, result: null }, 'a')).toBe('again');
    expect(fateOf({ ...refusal(422), to: undefined }, 'a')).toBe('again');
  });

  it('is to wait for the PIN of whoever recorded it where nobody or somebody else is signed in', () => {
    expect([401, 409].map((status) => fateOf(refusal(status), 'a'))).toEqual(['not-theirs', 'not-theirs']);
  });

  it.each([400, 403, 404, 408, 413, 429, 500, 502, 503, 504])('is to be sent again after a %i', (status) => {
    expect(fateOf(refusal(status), 'a')).toBe('failed');
    expect(isOpen('failed')).toBe(true);
    expect(fateOf({ ...refusal(status), to: 'b' }, 'a')).toBe('again');
  });

  it('is to be sent again, whatever else comes back', () => {
    fc.assert(
      fc.property(fc.jsonValue(), (body) => {
        fc.pre(!(typeof body === 'object' && body !== null && 'to' in body && body.to === 'a'));
        expect(fateOf(body, 'a')).toBe('again');
      }),
    );
  });
});
