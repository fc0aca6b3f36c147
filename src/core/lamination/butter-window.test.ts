import { describe, expect, it } from 'vitest';
import { butterWindow, temperFor, type ButterBlock } from './butter-window';

const place = (celsius: number, film: number) => ({ celsius, top: film, bottom: film });
const block: ButterBlock = {
  ...{ mm: 10, history: [], start: 4, fat: 'butter-82', room: place(21, 9), cold: place(4, 10) },
};

describe('the butter window', () => {
  it('finds butter from the cold hard, and pliable before it is soft', () => {
    const window = butterWindow(block);
    expect(window.state).toBe('hard');
    expect(window.readyIn).toBeGreaterThan(5);
    expect(window.softIn).toBeGreaterThan(window.readyIn ?? Infinity);
  });

  it('takes longer for a thicker block, and less in a warmer room', () => {
    const thick = temperFor({ ...block, mm: 20 }) ?? 0;
    const warm = temperFor({ ...block, room: place(26, 9) }) ?? Infinity;
    const usual = temperFor(block) ?? 0;
    expect(thick).toBeGreaterThan(usual);
    expect(warm).toBeLessThan(usual);
  });

  it('counts what the block has had: after that time in the room it is ready now', () => {
    const minutes = temperFor(block) ?? 0;
    const window = butterWindow({ ...block, history: [{ ...block.room, minutes: minutes + 1 }] });
    expect(window).toMatchObject({ state: 'pliable', readyIn: 0, coldFor: null });
    expect(window.softIn).toBeGreaterThan(0);
  });

  it('says how long the cold must have it again when it is too soft', () => {
    const window = butterWindow({ ...block, start: 22 });
    expect(window.state).toBe('soft');
    expect(window.coldFor).toBeGreaterThan(2);
    expect(window.readyIn).toBeNull();
  });

  it('never ends in a room as cool as the butter likes it, and never comes in one that is colder', () => {
    expect(butterWindow({ ...block, room: place(14, 9) }).softIn).toBeNull();
    expect(butterWindow({ ...block, room: place(8, 9) }).readyIn).toBeNull();
  });

  it('asks more of a fat that is worked warmer', () => {
    expect(temperFor({ ...block, fat: 'margarine' }) ?? 0).toBeGreaterThan(temperFor(block) ?? Infinity);
  });
});
