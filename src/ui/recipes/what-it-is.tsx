'use client';

import type { ReactNode } from 'react';
import { coded, type Coded } from '@/core/codes/coded';
import { SHAPE_WORDS } from '@/core/cutting/piece';
import type { StageKind } from '@/core/formula/formula';
import { FOLD_WORDS } from '@/core/lamination/words';
import { OWN_KINDS, type OwnKind } from '@/core/process/new-step';
import type { StepKind } from '@/core/process/route';
import { KIND_NAMES } from '@/core/process/step-words';
import type { Range, RecipeAmount, RecipeReading, RecipeStep } from '@/core/recipe/reading';
import { type SayOnPage, useWords } from '../kit/words';

/** Steps that a scheme makes, by name. */
const SCHEME_NAMES: Partial<Record<StepKind, Coded>> = {
  butter: coded('product.branchButter'),
  'lock-in': coded('steps.lockIn'),
};

/** What a recipe was read as: its ingredients by stage, its steps, bake and pieces. */
export function WhatItIs({ reading }: { reading: RecipeReading }) {
  const say = useWords();
  const { amounts, steps, bake, pieces, tins } = reading;
  const stages = [...new Set(amounts.map(({ stage }) => stage))];
  return (
    <div className="grid gap-5">
      <Part name={say('recipe.ingredients')}>
        {amounts.length === 0 && <p className="text-quiet">{say('recipe.noneRead')}</p>}
        {stages.map((stage) => (
          <Stage key={stage} stage={stage} amounts={amounts.filter((one) => one.stage === stage)} />
        ))}
      </Part>
      <Part name={say('recipe.steps')}>
        {steps.length === 0 && <p className="text-quiet">{say('recipe.noneRead')}</p>}
        <ol>
          {steps.map((step, i) => (
            <li key={i} className="flex gap-3 border-b border-hairline py-0.5">
              <span className="mr-auto">{stepName(step, say)}</span>
              <span className="tabular-nums">{figures(step, say)}</span>
            </li>
          ))}
        </ol>
      </Part>
      {bake.length > 0 && (
        <Part name={say('recipe.bake')}>
          {bake.map((phase) => (
            <p key={phase.from} className="tabular-nums">
              {[
                phase.celsius !== null &&
                  say.coded(coded('recipe.at', { celsius: { celsius: phase.celsius } })),
                phase.minutes && span(phase.minutes, say),
                phase.isFan && say('recipe.fan'),
                phase.steam && say('recipe.steam'),
                phase.vent && say('recipe.vent'),
              ]
                .filter(Boolean)
                .join(' · ')}
            </p>
          ))}
        </Part>
      )}
      {tins.length > 0 && (
        <Part name={say('recipe.tins')}>
          {tins.map(({ kind, count, size = [], holes, from }) => (
            <p key={from}>
              {[
                say('recipe.tinOf', { count, kind }),
                holes !== undefined && say('recipe.holes', { count: holes }),
                ...(size.length > 0
                  ? [size.map((cm) => say.coded(coded('recipe.side', { cm: { cm } }))).join(' × ')]
                  : []),
              ]
                .filter(Boolean)
                .join(' · ')}
            </p>
          ))}
        </Part>
      )}
      {(pieces.count !== undefined || pieces.shape !== undefined) && (
        <Part name={say('recipe.pieces')}>
          <p>
            {[
              pieces.count !== undefined && String(pieces.count),
              pieces.shape && say.coded(SHAPE_WORDS[pieces.shape].label),
              pieces.grams !== undefined &&
                say.coded(coded('recipe.weighs', { grams: { grams: pieces.grams } })),
            ]
              .filter(Boolean)
              .join(' · ')}
          </p>
        </Part>
      )}
    </div>
  );
}

function Part({ name, children }: { name: string; children: ReactNode }) {
  return (
    <section aria-label={name}>
      <h2 className="border-b border-edge pb-0.5 text-lg font-bold">{name}</h2>
      {children}
    </section>
  );
}

function Stage({ stage, amounts }: { stage: StageKind; amounts: readonly RecipeAmount[] }) {
  const say = useWords();
  return (
    <>
      <h3 className="mt-1.5 text-[15px] text-quiet">
        {say('recipe.stage', { stage: stage.replace(/[ -]/, '_') })}
      </h3>
      <ul>
        {amounts.map(({ from, name, grams, isUncounted }) => (
          <li key={from} className="flex gap-3 border-b border-hairline py-0.5">
            <span className="mr-auto">{name}</span>
            <span className="tabular-nums">
              {isUncounted ? say('recipe.toTaste') : grams ? weights(grams, say) : say('recipe.asked')}
            </span>
          </li>
        ))}
      </ul>
    </>
  );
}

const isOwn = (kind: StepKind): kind is OwnKind => (OWN_KINDS as readonly StepKind[]).includes(kind);

function stepName({ kind, fold }: RecipeStep, say: SayOnPage): string {
  if (kind === 'turn' && fold) return say.coded(FOLD_WORDS[fold]);
  const name = isOwn(kind) ? KIND_NAMES[kind] : SCHEME_NAMES[kind];
  return name ? say.coded(name) : kind;
}

const figures = ({ minutes, celsius, isCold }: RecipeStep, say: SayOnPage) =>
  [
    minutes && span(minutes, say),
    celsius && say.coded(coded('recipe.at', { celsius: { celsius: celsius[0] } })),
    isCold && !celsius && say('recipe.cold'),
  ]
    .filter(Boolean)
    .join(' · ');

const span = ([low, high]: Range, say: SayOnPage) =>
  low === high
    ? say.coded(coded('recipe.lasts', { low: { minutes: low } }))
    : say.coded(coded('recipe.fromTo', { low: { minutes: low }, high: { minutes: high } }));

const weights = ([low, high]: Range, say: SayOnPage) =>
  high > low * 1.001
    ? say.coded(coded('recipe.fromTo', { low: { grams: low }, high: { grams: high } }))
    : say.coded(coded('recipe.weighs', { grams: { grams: low } }));
