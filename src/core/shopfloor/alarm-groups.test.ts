import { describe, expect, it } from 'vitest';
import { MIN } from '../../../test-support/floor';
import { inEnglish } from '../../../test-support/words';
import { coded } from '../codes/coded';
import { groupAlarms } from './alarm-groups';
import type { AlarmKind } from './alarm-kinds';
import type { Alarm } from './alarms';

const CODES = {
  wash: 'alarms.mixTheWashIsBrushed',
  preheat: 'alarms.heatTheOvenToGoes',
  out: 'alarms.shouldBeDoneColourCore',
  ready: 'alarms.shouldBeReadyLook',
} as const;

function alarm(kind: keyof typeof CODES, minute: number, name: string, celsius = 185): Alarm {
  const when = { clock: minute * MIN, zone: 'UTC' };
  const values = { name, when, time: when, ...(kind === 'preheat' ? { celsius: { celsius } } : {}) };
  const id = `${kind}/${name}`;
  return {
    id,
    kind,
    doughId: 1,
    stepKey: 'x',
    at: minute * MIN,
    message: coded(CODES[kind], values),
    takenBy: null,
  };
}
const lines = (...alarms: Alarm[]) => groupAlarms(alarms).map(({ message }) => inEnglish(message));

describe('alarms that come together', () => {
  it('are one line where they are one errand, with all its doughs', () => {
    expect(
      lines(alarm('wash', 300, 'Crescent 1'), alarm('wash', 310, 'Danish 2'), alarm('wash', 312, 'Danish 2')),
    ).toEqual(['Mix egg wash for Crescent 1 and Danish 2, 05:00. Keep it cold.']);
  });

  it('stay apart where they are not: later, at another heat, or looks at doughs of their own', () => {
    expect(lines(alarm('wash', 300, 'A'), alarm('wash', 330, 'B'))).toHaveLength(2);
    expect(lines(alarm('preheat', 300, 'A', 185), alarm('preheat', 301, 'B', 210))).toHaveLength(2);
    expect(lines(alarm('preheat', 300, 'A', 185), alarm('preheat', 301, 'B', 185))).toHaveLength(1);
    expect(lines(alarm('ready', 300, 'A'), alarm('ready', 300, 'B'))).toHaveLength(2);
  });

  it('come in the order of what is lost by waiting, and of one kind in the order of time', () => {
    const kinds = (...of: [keyof typeof CODES, number][]): AlarmKind[] =>
      groupAlarms(of.map(([kind, minute], i) => alarm(kind, minute, `D${i}`))).map(({ kind }) => kind);
    expect(kinds(['wash', 1], ['preheat', 2], ['ready', 3], ['out', 4])).toEqual([
      'out',
      'ready',
      'preheat',
      'wash',
    ]);
    expect(groupAlarms([alarm('out', 9, 'B'), alarm('out', 3, 'A')]).map(({ at }) => at / MIN)).toEqual([
      3, 9,
    ]);
  });

  it('are answered together, each once', () => {
    const [group] = groupAlarms([alarm('wash', 300, 'A'), alarm('wash', 305, 'B')]);
    expect(group?.all.map(({ id }) => id)).toEqual(['wash/A', 'wash/B']);
  });
});
