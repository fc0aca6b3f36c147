import type { Scheme } from '@/core/lamination/scheme';
import { insertSchemeVersion, type KeptScheme, newestSchemeVersion } from '../store/scheme-versions';
import type { CommandContext } from './command';
import { newProductVersion } from './product-version';

/** Keeps a new version of a scheme; the products that go by it follow in a version of their own. */
export async function keepSchemeVersion(
  { db, person, now }: Pick<CommandContext, 'db' | 'person' | 'now'>,
  { clientId, scheme }: { clientId: string; scheme: Scheme },
  { schemeId, products }: { schemeId: number; products: readonly { id: number }[] },
): Promise<KeptScheme> {
  const last = await newestSchemeVersion(db, schemeId);
  const next = (last?.version ?? 0) + 1;
  const { id: versionId } = await insertSchemeVersion(db, {
    ...{ schemeId, next, scheme, now, clientId },
    personId: person.id,
  });
  for (const { id } of products) await newProductVersion(db, id, { schemeVersionId: versionId, at: now });
  return { schemeId, versionId, version: next };
}
