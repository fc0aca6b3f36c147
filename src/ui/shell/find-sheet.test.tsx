import { screen } from '@testing-library/react';
import { beforeEach, expect, it, vi } from 'vitest';
import { show } from '../../../test-support/view';
import type { Answer } from '@/core/wire/answer';
import type { Findable } from '@/core/wire/found';
import { FindSheet } from './find-sheet';
import { Finder } from './finder';

const house = vi.hoisted(() => ({ lookFor: vi.fn<(text: string) => Promise<Answer>>() }));
const gone = vi.hoisted(() => ({ go: vi.fn<(path: string) => void>() }));
vi.mock('../live/command', () => house);
vi.mock('../live/go', () => gone);

const DOUGH: Findable = {
  ...{ kind: 'dough', name: 'Crescent 38', detail: 'Butter crescent', href: '/dough/38', at: 0 },
};
const BATCH: Findable = { ...DOUGH, kind: 'batch', name: 'Crescent 37', href: '/batch/37' };

beforeEach(() => {
  house.lookFor.mockReset();
  gone.go.mockReset();
  house.lookFor.mockImplementation((text) =>
    Promise.resolve({ ok: true, result: text === 'cres' ? [DOUGH, BATCH] : [] }),
  );
});
const field = () => screen.findByRole('searchbox', { name: /Dough, batch/ });

it('is opened by a key from anywhere, and closed again', async () => {
  const { user } = show(<Finder />);
  await user.keyboard('/');
  expect(await field()).toBe(document.activeElement);
  await user.keyboard('{Escape}');
  expect(screen.queryByRole('searchbox')).toBeNull();
});

it('lists what fits with what it is, and Enter opens the best', async () => {
  const { user } = show(<FindSheet onClose={vi.fn()} />);
  await user.type(await field(), 'cres');
  const [best] = await screen.findAllByRole('link');
  expect(best?.textContent).toBe('Crescent 38Butter crescentDough');
  await user.keyboard('{Enter}');
  expect(gone.go).toHaveBeenCalledExactlyOnceWith('/dough/38');
});

it('is gone through by the arrow keys', async () => {
  const { user } = show(<FindSheet onClose={vi.fn()} />);
  await user.type(await field(), 'cres');
  await screen.findAllByRole('link');
  await user.keyboard('{ArrowDown}{ArrowDown}');
  expect(document.activeElement?.getAttribute('href')).toBe('/batch/37');
  await user.keyboard('{ArrowDown}');
  expect(document.activeElement).toBe(await field());
});

it('says so where nothing is called that, and where nobody answers', async () => {
  const { user } = show(<FindSheet onClose={vi.fn()} />);
  await user.type(await field(), 'xyz');
  expect(await screen.findByText('Nothing here is called “xyz”.')).toBeTruthy();
  const message = 'The bakery’s computer is not answering.';
  house.lookFor.mockResolvedValue({ ok: false, status: 0, message, field: null, offer: null });
  await user.type(await field(), 'z');
  expect(await screen.findByText(message)).toBeTruthy();
});
