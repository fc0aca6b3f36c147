import type { SettingName } from '@/core/bakery/settings';
import type { SetUpPreview } from '@/core/wire/set-up-preview';
import { readSetUpText } from './commands/house/set-up-file';
import type { Db } from './db/rows';
import { houseSettings, machines, people } from './store/house';
import { housePlaces } from './store/house-places';
import { productCalled } from './store/product-versions';

/** What a file of a set-up would bring; writes nothing. */
export async function previewSetUp(db: Db, text: string): Promise<SetUpPreview> {
  const file = readSetUpText(text);
  const [places, pools, everybody, settings] = await Promise.all([
    housePlaces(db),
    machines(db),
    people(db),
    houseSettings(db),
  ]);
  const keepsOwn: string[] = [];
  const anew = (names: readonly string[], own: readonly string[]) => {
    const known = new Set(own.map((one) => one.toLowerCase()));
    keepsOwn.push(...names.filter((one) => known.has(one.toLowerCase())));
    return names.filter((one) => !known.has(one.toLowerCase()));
  };
  const labels = (all: readonly { label: string }[]) => all.map(({ label }) => label);
  const insides = new Set(file.machines.flatMap(({ place }) => place ?? []));
  const products = [...file.products.map(({ name }) => name), ...(file.beginnings ?? [])];
  const here = await Promise.all(products.map((name) => productCalled(db, name)));
  return {
    name: file.name,
    brings: {
      places: anew(labels(file.places.filter(({ id }) => !insides.has(id))), labels(places)),
      machines: anew(labels(file.machines), labels(pools)),
      people: anew(
        file.people.map(({ name }) => name),
        everybody.map(({ name }) => name),
      ),
      products: anew(
        products,
        products.filter((_, i) => here[i] !== null),
      ),
    },
    keepsOwn,
    values: (Object.entries(file.values) as [SettingName, number][]).flatMap(([name, becomes]) =>
      settings[name] === becomes ? [] : [{ name, was: settings[name], becomes }],
    ),
  };
}
