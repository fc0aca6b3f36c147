import { screen, waitFor } from '@testing-library/react';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { show } from '../../../test-support/view';
import type { Answer } from '@/core/wire/answer';
import { LANGUAGE_NAMES } from '@/words/languages';
import { LANGUAGES } from '@/words/message';
import { LanguageChoice } from './language-choice';
import { OwnLanguage } from './own-language';

const told = vi.hoisted(() => ({ send: vi.fn<(command: string, input: unknown) => Promise<Answer>>() }));
const read = vi.hoisted(() => ({ readIn: vi.fn<(of: string, language: string) => Promise<Answer>>() }));
vi.mock('../live/command', () => told);
vi.mock('./read-in', () => read);

const button = (name: string) => screen.getByRole('button', { name });
beforeEach(() => {
  told.send.mockReset();
  read.readIn.mockReset().mockResolvedValue({ ok: true, result: null });
});

describe('the languages', () => {
  it('are each called by their own name, in their own language, for whoever reads no other', () => {
    show(<LanguageChoice onChoose={() => Promise.resolve({ ok: true, result: null })} />);
    for (const language of LANGUAGES)
      expect(button(LANGUAGE_NAMES[language]).getAttribute('lang')).toBe(language);
    expect(screen.getByRole('group', { name: 'Language' })).toBeTruthy();
  });

  it('say which one is read now, and are chosen by one tap', async () => {
    const chosen = vi.fn(() => Promise.resolve<Answer>({ ok: true, result: null }));
    const { user } = show(<LanguageChoice onChoose={chosen} />);
    expect(button('English').getAttribute('aria-pressed')).toBe('true');
    expect(button('Deutsch').getAttribute('aria-pressed')).toBe('false');
    await user.click(button('Français'));
    expect(chosen).toHaveBeenCalledExactlyOnceWith('fr');
  });
});

describe('one’s own language', () => {
  it('is kept for every tablet, and the page is shown in it', async () => {
    told.send.mockResolvedValue({ ok: true, result: null });
    const { user } = show(<OwnLanguage />);
    await user.click(button('Deutsch'));
    expect(told.send).toHaveBeenCalledExactlyOnceWith('choose-language', { language: 'de' });
    await waitFor(() => expect(read.readIn).toHaveBeenCalledExactlyOnceWith('person', 'de'));
  });

  it('stays what it was where the house does not answer, and says so', async () => {
    const message = 'The bakery’s computer is not answering.';
    told.send.mockResolvedValue({ ok: false, status: 0, message, field: null, offer: null });
    const { user } = show(<OwnLanguage />);
    await user.click(button('Deutsch'));
    expect((await screen.findByRole('alert')).textContent).toBe(message);
    expect(read.readIn).not.toHaveBeenCalled();
  });
});
