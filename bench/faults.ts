import { faultRun } from '../test-support/faults';

const TABLETS = 10;
const KILLS = 16;
/** For how long the database refuses what the floor records, ms. */
const REFUSING = 60_000;

/** Makes so many taps on ten tablets in real browsers through a bad night, and says what became of them. */
export async function faults(taps: number): Promise<void> {
  const report = await faultRun({
    ...{ tablets: TABLETS, taps, kills: KILLS, refusing: REFUSING, seed: 1, build: 'build/app' },
  });
  const { network, kills } = report;
  const told: [string, string | number][] = [
    ['taps made on ten tablets', report.taps],
    ['application / database killed', `${count(kills, 'application')} / ${count(kills, 'database')}`],
    ['database refused to write for', `${REFUSING / 1000} s`],
    ['requests passed on', network.passed],
    ['answered by the network with a status', network.status],
    ['answered with words that were not the house’s', network.foreign],
    ['swallowed', network.swallowed],
    ['cut before / after they were heard', `${network['cut-before']} / ${network['cut-after']}`],
    ['changes of person on a tablet', report.changes],
    ['tabs closed and opened again', report.reopened],
    ['lost', report.lost.length],
    ['stored twice', report.doubled.length],
    ['under another name', report.misnamed.length],
    ['tablets whose order was not kept', report.disordered.length],
    ['refused', report.refused.length],
    ['until the last tablet was of use by itself', `${(report.usableAfter / 1000).toFixed(1)} s`],
  ];
  console.log('');
  for (const [what, value] of told) console.log(`${what.padEnd(58)}${String(value).padStart(12)}`);
}

const count = (all: readonly string[], one: string) => all.filter((other) => other === one).length;
