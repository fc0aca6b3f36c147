import { titled } from '../../titled';
import { pool } from '@/server/db/pool';
import { housePage } from '@/server/house-page';
import { house, houseSettings } from '@/server/store/house';
import { today } from '@/server/store/places';
import { currentProducts } from '@/server/store/products';
import { rollingHouse } from '@/server/store/rolling';
import { currentSchemes } from '@/server/store/schemes';
import { doughsBehind } from '@/server/store/schemes-behind';
import { WordsOf } from '@/app/words-of';
import { LaminationView } from '@/ui/lamination/lamination-view';

export const generateMetadata = titled('titles.lamination');

export default async function LaminationPage() {
  const { person, now } = await housePage('/lamination');
  const db = pool();
  const [bakery, schemes, products, behind, rolling, settings, temperatures] = await Promise.all([
    house(db),
    currentSchemes(db),
    currentProducts(db),
    doughsBehind(db, now),
    rollingHouse(db),
    houseSettings(db),
    today(db),
  ]);
  return (
    <WordsOf areas={['heat', 'lamination', 'schemes']}>
      <LaminationView
        person={person}
        schemes={schemes.map((scheme) => ({ ...scheme, id: String(scheme.schemeId) }))}
        products={products.flatMap(({ productId, name, scheme }) =>
          scheme ? [{ id: productId, name, schemeName: scheme.name }] : [],
        )}
        behind={behind}
        rolling={rolling}
        blockKg={settings.blockKg}
        room={temperatures.bakery ?? { celsius: 22, kind: 'room' }}
        cold={temperatures.retarder ?? { celsius: 4, kind: 'fridge' }}
        zone={bakery.zone}
      />
    </WordsOf>
  );
}
