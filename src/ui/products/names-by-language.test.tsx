import { screen, within } from '@testing-library/react';
import { beforeEach, expect, it, vi } from 'vitest';
import { show } from '../../../test-support/view';
import type { Answer } from '@/core/wire/answer';
import { NamesByLanguage } from './names-by-language';

const told = vi.hoisted(() => ({ send: vi.fn<(command: string, input: unknown) => Promise<Answer>>() }));
vi.mock('../live/command', () => told);
beforeEach(() => told.send.mockReset().mockResolvedValue({ ok: true, result: null }));

const product = { name: 'Sugared bun', names: { en: { one: '', many: 'Sugared buns' } } };
const field = (language: string, label: string) =>
  within(screen.getByRole('group', { name: language })).getByLabelText<HTMLInputElement>(label);

it('shows what is kept, and keeps what is typed, all languages at once', async () => {
  const { user } = show(<NamesByLanguage what="product" id={5} named={product} mayChange />);
  expect(field('English', 'Several pieces').value).toBe('Sugared buns');
  const save = screen.getByRole<HTMLButtonElement>('button', { name: 'Save names' });
  expect(save.disabled).toBe(true);
  await user.type(field('Deutsch', 'One piece'), 'Zuckerbrötchen');
  await user.click(save);
  expect(told.send).toHaveBeenCalledExactlyOnceWith('name-product', {
    id: 5,
    names: {
      de: { one: 'Zuckerbrötchen', many: '' },
      en: { one: '', many: 'Sugared buns' },
      fr: { one: '', many: '' },
    },
  });
  expect(await screen.findByText(/^Names saved/)).toBeTruthy();
  expect(save.disabled).toBe(true);
});

it('keeps what was typed where it is refused, and says why', async () => {
  const message = 'Enter 60 characters at most.';
  told.send.mockResolvedValue({ ok: false, status: 422, message, field: 'names', offer: null });
  const { user } = show(<NamesByLanguage what="product" id={5} named={product} mayChange />);
  await user.type(field('Français', 'One piece'), 'Brioche');
  await user.click(screen.getByRole('button', { name: 'Save names' }));
  expect((await screen.findByRole('alert')).textContent).toBe(message);
  expect(field('Français', 'One piece').value).toBe('Brioche');
});

it('is only read by whoever plans nothing', () => {
  show(<NamesByLanguage what="product" id={5} named={product} mayChange={false} />);
  expect(screen.queryByRole('button')).toBeNull();
  expect(screen.getByRole('group', { name: 'English' }).hasAttribute('disabled')).toBe(true);
});

it('asks for one name of a formula in each language', async () => {
  const { user } = show(
    <NamesByLanguage what="formula" id={2} named={{ name: 'Brioche dough', names: {} }} mayChange />,
  );
  expect(screen.queryByLabelText('Several pieces')).toBeNull();
  await user.type(field('Français', 'Name'), 'Pâte à brioche');
  await user.click(screen.getByRole('button', { name: 'Save names' }));
  expect(told.send.mock.calls[0]?.[0]).toBe('name-formula');
  expect(told.send.mock.calls[0]?.[1]).toMatchObject({ id: 2, names: { fr: { one: 'Pâte à brioche' } } });
});
