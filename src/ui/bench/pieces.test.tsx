import { screen } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { did } from '../../../test-support/floor';
import { ROLLING } from '../../../test-support/rolling';
import { itemOf, output, show, telling } from '../../../test-support/view';
import { DivideWork } from './divide-work';
import { SheetWork } from './sheet-work';
import { WeighIn } from './weigh-in';

const CUT = output({
  piece: {
    ...output().piece,
    cut: { size: { shape: 'triangle', base: 11, height: 27 }, mm: 3.9 },
    grams: 62,
  },
});
const weighed = (grams: number, count = 4) =>
  did('weigh', 'sheet', 10, { data: { kind: 'pieces', count, grams } });
const sheeting = (...more: ReturnType<typeof did>[]) => itemOf([did('start', 'sheet', 0), ...more], 'sheet');

describe('pieces on the scale', () => {
  it('are told with how many lie on it and what they weigh, in the reader’s own way of writing', async () => {
    const told = telling();
    const { user } = show(<WeighIn grams={62} scale={null} onWeigh={told} />);
    await user.clear(screen.getByLabelText('pieces'));
    await user.type(screen.getByLabelText('pieces'), '4');
    await user.type(screen.getByLabelText('weigh together'), '252,5 g');
    await user.click(screen.getByRole('button', { name: 'Weigh in' }));
    expect(told.mock.calls).toEqual([[{ kind: 'pieces', count: 4, grams: 252.5 }]]);
    expect(screen.getByLabelText<HTMLInputElement>('weigh together').value).toBe('');
  });

  it('are refused without a number of pieces or a weight, in a sentence, and nothing is told', async () => {
    const told = telling();
    const { user } = show(<WeighIn grams={62} scale={null} onWeigh={told} />);
    await user.click(screen.getByRole('button', { name: 'Weigh in' }));
    expect(screen.getByRole('alert').textContent).toContain('Enter a weight');
    await user.clear(screen.getByLabelText('pieces'));
    await user.type(screen.getByLabelText('pieces'), 'some');
    await user.type(screen.getByLabelText('weigh together'), '250');
    await user.click(screen.getByRole('button', { name: 'Weigh in' }));
    expect(screen.getByRole('alert').textContent).toBe('How many pieces are on the scale?');
    expect(told).not.toHaveBeenCalled();
  });

  it('are taken from the scale with one tap where it shows something', async () => {
    const told = telling();
    const { user } = show(<WeighIn grams={62} scale={126} onWeigh={told} />);
    await user.click(screen.getByRole('button', { name: '126 g from the scale' }));
    expect(told).toHaveBeenCalledWith({ kind: 'pieces', count: 1, grams: 126 });
  });
});

describe('sheet and cut', () => {
  const work = (item: ReturnType<typeof sheeting>, running = true, outputs = [CUT]) => (
    <SheetWork {...{ item, running, outputs }} rolling={ROLLING} scale={null} tell={telling()} />
  );

  it('names what is cut, and asks for weights only while it is under way', () => {
    const { again } = show(work(sheeting(), false));
    expect(screen.getByText(/40 triangles, 11 cm × 27 cm, 3.9 mm/)).toBeTruthy();
    expect(screen.queryByLabelText('weigh together')).toBeNull();
    again(work(sheeting()));
    expect(screen.getByLabelText('weigh together')).toBeTruthy();
  });

  it('says how thick the sheet is by the pieces that were weighed, and what to change', () => {
    show(work(sheeting(weighed(280))));
    expect(screen.getByRole('status').textContent).toMatch(
      /8.0 g too heavy: the sheet is about 4.4 mm, not 3.9/,
    );
  });

  it('goes by the last weighings: after a change the first ones say nothing any more', () => {
    show(work(sheeting(weighed(320), weighed(248), weighed(249), weighed(247))));
    expect(screen.getByRole('status').textContent).toMatch(/^In tolerance/);
  });

  it('lets a dough of two outputs say which is on the scale', async () => {
    const small = output({ id: 6, product: 'Small crescent', piece: { ...CUT.piece, grams: 30 } });
    const { user } = show(work(sheeting(weighed(248)), true, [CUT, small]));
    expect(screen.getByRole('button', { name: 'Crescent' }).getAttribute('aria-pressed')).toBe('true');
    expect(screen.getByRole('status').textContent).toMatch(/^In tolerance/);
    await user.click(screen.getByRole('button', { name: 'Small crescent' }));
    expect(screen.queryByRole('status')).toBeNull();
  });
});

describe('divide', () => {
  const pieces = (grams: number, count: number) =>
    did('weigh', '5.1.shape', 10, { data: { kind: 'pieces', count, grams } });
  const work = (...more: ReturnType<typeof did>[]) => (
    <DivideWork
      item={itemOf([did('start', '5.1.shape', 0), ...more], '5.1.shape')}
      outputs={[output()]}
      rolling={ROLLING}
      scale={null}
      tell={telling()}
      running
    />
  );

  it('says what each should weigh before one is on the scale', () => {
    show(work());
    expect(screen.getByText(/weighed$/).textContent).toMatch(/each 60 g ± 1.2 g; 0 of 40 weighed/);
  });

  it('tells the last one that is off, and what to do about all of them', () => {
    show(work(pieces(120, 2), pieces(66, 1)));
    expect(screen.getByRole('status').textContent).toMatch(/Last one 6\.0 g too heavy/);
    expect(screen.getByText(/3 of 40/)).toBeTruthy();
  });
});
