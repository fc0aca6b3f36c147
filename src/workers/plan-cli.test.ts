import { spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, describe, expect, it } from 'vitest';

const folder = mkdtempSync(join(tmpdir(), 'hefeteig-plan-'));
afterAll(() => rmSync(folder, { recursive: true }));

const plan = (...args: string[]) => {
  const { status, stdout, stderr } = spawnSync('npm', ['run', '--silent', 'plan', '--', ...args], {
    encoding: 'utf8',
  });
  const complaints = stderr.split('\n').filter((line) => line !== '' && !line.startsWith('npm warn'));
  return { status, stdout, complaints };
};
const file = (name: string, text: string) => {
  writeFileSync(join(folder, name), text);
  return join(folder, name);
};
const problem = (name: string) => join('test-data', 'plan', 'problems', `${name}.json`);

describe('the planning command', () => {
  it('prints a plan for a sound problem', () => {
    const { status, stdout } = plan(problem('one-dough'), '--seconds', '2', '--seed', '1');
    expect(status).toBe(0);
    expect(JSON.parse(stdout)).toMatchObject({ format: 'hefeteig-plan/1', status: 'feasible', cost: 0 });
  });

  it('exits with 2 and the conflict when there is no plan', () => {
    const { status, stdout } = plan(problem('infeasible-late-pin'));
    expect(status).toBe(2);
    expect(JSON.parse(stdout)).toMatchObject({
      status: 'infeasible',
      conflict: ['d1.mix', 'd1.bulk', 'd1.degas'],
    });
  });

  it('names every fault of a broken file, prints no plan and exits with 1', () => {
    const broken = file(
      'broken.json',
      '{"format":"hefeteig-plan-problem/1","name":"x","horizon":-1,"tasks":{}}',
    );
    const { status, stdout, complaints } = plan(broken);
    expect([status, stdout]).toEqual([1, '']);
    expect(complaints).toEqual(
      expect.arrayContaining([
        'problem: now is missing',
        'problem: horizon must be a whole number, 1 or more, not -1',
        'problem: tasks must be a list, not {}',
      ]),
    );
  });

  it.each([
    ['a file that is not JSON', ['no.json', 'not json'], /cannot be read as JSON/],
    ['a file that is not there', null, /cannot be read as JSON/],
  ])('says what is wrong with %s', (_, made, sentence) => {
    const { status, complaints } = plan(
      made ? file(made[0] ?? '', made[1] ?? '') : join(folder, 'nowhere.json'),
    );
    expect(status).toBe(1);
    expect(complaints.join()).toMatch(sentence);
  });

  it('says how it is called', () => {
    expect(plan()).toMatchObject({ status: 1, complaints: [expect.stringContaining('usage:')] });
    expect(plan(problem('edge'), '--seconds', 'soon').complaints[0]).toContain('usage:');
  });
});
