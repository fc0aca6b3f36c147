import { screen } from '@testing-library/react';
import { beforeEach, describe, expect, it } from 'vitest';
import { show } from '../../../test-support/view';
import { isHalfTyped, useDraft } from './draft';

beforeEach(() => sessionStorage.clear());

function Field({ of }: { of: string }) {
  const [text, setText] = useDraft(of);
  return <input aria-label="words" value={text} onChange={(event) => setText(event.target.value)} />;
}

describe('what is half typed', () => {
  it('is still there after a reload, for what it is about alone, until it is emptied', async () => {
    const { user, again } = show(<Field key="a" of="1/mix/note" />);
    await user.type(screen.getByLabelText('words'), 'sticky');
    expect(isHalfTyped()).toBe(true);
    again(<Field key="b" of="1/turn-1/note" />);
    expect(screen.getByLabelText('words')).toHaveProperty('value', '');
    again(<Field key="c" of="1/mix/note" />);
    expect(screen.getByLabelText('words')).toHaveProperty('value', 'sticky');
    await user.clear(screen.getByLabelText('words'));
    expect(isHalfTyped()).toBe(false);
  });
});
