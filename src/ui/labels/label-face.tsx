import clsx from 'clsx';
import { Fragment } from 'react';
import type { GoodsLabel } from '@/core/wire/label';
import { allergenNames } from '@/words/code-names';
import type { SayOnPage } from '../kit/words';
import { type LabelSize, textSize } from './label-sizes';

interface Props {
  label: GoodsLabel;
  size: LabelSize;
  zone: string;
  /** The languages of the label, the first one largest. */
  says: readonly SayOnPage[];
}

/** One label as it is printed, in one language or several: what the law and whoever eats it want to know. */
export function LabelFace({ label, size, zone, says }: Props) {
  const { product, ingredients } = label;
  const names = says.flatMap((say) => ingredients.map(({ name }) => say.inLine(name)));
  const characters = names.reduce((sum, name) => sum + name.length + 2, 0);
  return (
    <article
      aria-label={says[0]?.named(product)}
      className={clsx('label-face', `label-${size}`, `label-text-${textSize(size, characters)}`)}
    >
      {says.map((say, nth) => (
        <LabelText key={say.language} {...{ label, zone, say }} isFirst={nth === 0} />
      ))}
    </article>
  );
}

interface TextProps {
  label: GoodsLabel;
  zone: string;
  say: SayOnPage;
  isFirst: boolean;
}

/** Name, ingredients by weight with allergens in bold, what it contains, dates; the batch once. */
function LabelText({ label, zone, say, isFirst }: TextProps) {
  const { product, kept, ingredients, contains, batch, madeAt, bestBefore, doughGrams } = label;
  const isDough = kept === 'cold-dough' || kept === 'frozen-dough';
  return (
    <div lang={say.language} className="contents">
      <h2 className={isFirst ? 'label-name' : 'font-bold'}>
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
        <p className="font-bold">{say('labels.contains', { allergens: allergenNames(say, contains) })}</p>
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
        {isFirst && (
          <span>
            {say('labels.batch', { batch })}
            {isDough && `, ${say.shown({ kg: doughGrams / 1000 })}`}
          </span>
        )}
      </p>
    </div>
  );
}
