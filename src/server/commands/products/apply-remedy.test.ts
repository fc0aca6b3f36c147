import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { demoHouse } from '../../../../test-support/demo-house';
import { ok } from '../../../../test-support/house';
import { rowsOf } from '../../db/rows';
import { productsNow } from '../../products-now';
import { doughById } from '../../store/doughs';
import { productAsKept } from '../../store/products';
import { currentSchemes } from '../../store/schemes';
import { runCommand } from '../run';

let house: Awaited<ReturnType<typeof demoHouse>>;
beforeAll(async () => {
  house = await demoHouse();
});
afterAll(() => house.close());

async function knots() {
  const [row] = await rowsOf<{ id: number }>(house.pool, "SELECT id FROM dough WHERE name = 'Brioche 27'");
  const dough = await doughById(house.pool, row?.id ?? 0);
  const [output] = dough?.outputs ?? [];
  if (!dough || !output) throw new Error('The demo has a Brioche 27.');
  const { versionId = 0 } = (await productsNow(house.pool, dough))[output.id] ?? {};
  return { dough, output, versionId };
}

const apply = (who: string, input: object) => runCommand('apply-remedy', house.person(who), input);

describe('a change that a cause asks for', () => {
  it('becomes the next version of the product, with the reason in the record; the batch keeps its own', async () => {
    const { dough, output, versionId } = await knots();
    const before = dough.outputs[0]?.rises?.proof?.late ?? 0;
    const input = { doughId: dough.id, outputId: output.id, cause: 'overproofed', from: versionId };
    const { productId, version } = await ok<{ productId: number; version: number }>(apply('Mara', input));
    expect(version).toBeGreaterThan(1);
    const kept = await productAsKept(house.pool, productId);
    expect(kept?.rises?.proof?.late).toBeCloseTo(before - 0.1, 5);
    expect((await doughById(house.pool, dough.id))?.outputs[0]?.rises?.proof?.late).toBe(before);
    const [audit] = await rowsOf<{ why: string }>(
      house.pool,
      "SELECT JSON_UNQUOTE(JSON_EXTRACT(becomes, '$.why')) AS why FROM audit WHERE command = 'apply-remedy' ORDER BY id DESC LIMIT 1",
    );
    expect(audit?.why).toContain('Proof ready up to');
  });

  it('that is the scheme’s goes into the scheme, and every product laminated by it follows', async () => {
    const [row] = await rowsOf<{ id: number }>(
      house.pool,
      "SELECT id FROM dough WHERE name LIKE 'Crescent %' ORDER BY id LIMIT 1",
    );
    const dough = await doughById(house.pool, row?.id ?? 0);
    const [output] = dough?.outputs ?? [];
    if (!dough || !output) throw new Error('The demo has crescents.');
    const schemes = await currentSchemes(house.pool);
    const { versionId = 0, scheme } = (await productsNow(house.pool, dough))[output.id] ?? {};
    const input = { doughId: dough.id, outputId: output.id, cause: 'flour-strong', from: versionId };
    await ok(apply('Mara', input));
    const before = schemes.find(({ name }) => name === scheme?.name);
    const after = (await currentSchemes(house.pool)).find(({ name }) => name === scheme?.name);
    const shortest = (of: typeof after) =>
      Math.min(...(of?.scheme.turns ?? []).map(({ rest }) => rest || 999));
    expect(shortest(after)).toBe(shortest(before) + 15);
    expect(after?.version).toBe((before?.version ?? 0) + 1);
    expect(after?.products.map(({ name }) => name)).toEqual(before?.products.map(({ name }) => name));
    expect(scheme?.others).toHaveLength((before?.products.length ?? 0) - 1);
  });

  it('is refused where somebody has changed the product meanwhile, and where there is nothing to change', async () => {
    const { dough, output, versionId } = await knots();
    const input = { doughId: dough.id, outputId: output.id, cause: 'overproofed', from: versionId - 1 };
    expect(await apply('Mara', input)).toMatchObject({ ok: false, field: 'from' });
    expect(await apply('Mara', { ...input, from: versionId, cause: 'yeast-weak' })).toMatchObject({
      ok: false,
      message: 'Nothing in the product would have prevented this. Talk to the shift instead.',
    });
    expect((await apply('Mara', { ...input, from: versionId, cause: 'weather' })).ok).toBe(false);
    expect((await apply('Mara', { ...input, from: versionId, outputId: 999_999 })).ok).toBe(false);
    expect((await apply('Ida', { ...input, from: versionId })).ok).toBe(false);
  });
});
