import clsx from 'clsx';
import { Fragment } from 'react';
import type { GoodsLabel } from '@/core/wire/label';
import { allergenNames } from '@/words/code-names';
import { useWords } from '../kit/words';
import { type LabelSize, textSize } from './label-sizes';

/** One label as it is printed: name, ingredients by weight with allergens in bold, what it contains, dates, batch. */
export function LabelFace({ label, size, zone }: { label: GoodsLabel; size: LabelSize; zone: string }) {
  const say = useWords();
  const { product, kept, ingredients, contains, batch, madeAt, bestBefore, doughGrams } = label;
  const isDough = kept === 'cold-dough' || kept === 'frozen-dough';
  const characters = ingredients.reduce((sum, { name }) => sum + name.length + 2, 0);
  return (
    <article
      aria-label={say.named(product)}
      className={clsx('label-face', `label-${size}`, `label-text-${textSize(size, characters)}`)}
    >
      <h2 className="label-name">
        {isDough ? say('labels.asDough', { dough: product }) : say.named(product)}
      </h2>
      <p>
        {say.rich('labels.ingredients', {
          list: () =>
            ingredients.map(({ name, allergens }, i) => (
              <Fragment key={name}>
                {i > 0 && ', '}
                {allergens.length > 0 ? <b>{say.inLine(name)}</b> : say.inLine(name)}
              </Fragment>
            )),
        })}
      </p>
      {contains.length > 0 && (
        <p className="font-bold">
          {say('labels.contains', {
            allergens: allergenNames(say, contains),
          })}
        </p>
      )}
      {kept !== null && <p>{say('labels.keep', { isFrozen: kept !== 'cold-dough' })}</p>}
      <p className="label-dates">
        <span>
          {say('labels.made', {
            kept: kept === null ? 'fresh' : kept.replace('-', '_'),
            day: say.fullDate(madeAt, zone),
          })}
        </span>
        <b>{say('labels.bestBefore', { day: say.fullDate(bestBefore, zone) })}</b>
        <span>
          {say('labels.batch', { batch })}
          {isDough && `, ${say.shown({ kg: doughGrams / 1000 })}`}
        </span>
      </p>
    </article>
  );
}
