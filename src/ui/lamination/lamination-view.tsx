'use client';

import { useWords } from '../kit/words';
import { useDeferredValue, useMemo, useState } from 'react';
import type { Person } from '@/core/bakery/people';
import type { RollingHouse } from '@/core/bakery/rolling';
import { type BlockPlan, blocksFor, planBlock } from '@/core/lamination/geometry';
import { fractionOf, operationsOf, outcomeOf, schemeName } from '@/core/lamination/scheme';
import { pileOf } from '@/core/lamination/stack';
import { showLength, showMass } from '@/core/units/reader';
import { Field } from '../kit/field';
import { retold } from '@/core/units/retold';
import { useUnits } from '../live/units';
import { measure } from '@/core/units/measure';
import { unless, useTyped, wants } from '../workbench/use-typed';
import { ButterPanel, type PlaceToday } from './butter-panel';
import { type ComparedScheme, CompareTable } from './compare-table';
import { Composer } from './composer';
import { draftOf, readDraft, type SchemeDraft } from './draft';
import { FitPanel } from './fit-panel';
import { GeometryStrip } from './geometry-strip';
import { LayerFacts } from './layer-facts';
import { type Behind, SchemeKeeper, type SchemeProduct } from './scheme-keeper';
import { SectionView } from './section-view';
import { Tabs } from './tabs';
import { Fault } from '@/core/codes/fault';
import type { Coded } from '@/core/codes/coded';
import type { Scheme } from '@/core/lamination/scheme';
import type { Pile } from '@/core/lamination/pile';

export interface HouseSchemeView extends ComparedScheme {
  schemeId: number;
  versionId: number;
  version: number;
}

interface Props {
  person: Person;
  schemes: HouseSchemeView[];
  products: SchemeProduct[];
  behind: Behind[];
  rolling: RollingHouse;
  blockKg: number;
  room: PlaceToday;
  cold: PlaceToday;
  zone: string;
}

/** Schemes side by side, composed, seen in section and worked out on the bench. */
export function LaminationView({ person, schemes, products, behind, rolling, blockKg, ...places }: Props) {
  const say = useWords();
  const [units] = useUnits();
  const [chosen, setChosen] = useState(schemes[0]?.id ?? null);
  const scheme = schemes.find(({ id }) => id === chosen) ?? null;
  const [edited, setDraft] = useState<SchemeDraft | null>(null);
  // Until somebody changes it, a scheme follows the units of the reader.
  const begun = useMemo(() => scheme && draftOf(scheme.scheme, units), [scheme, units]);
  const draft = edited ?? begun;
  const { read, field } = useTyped({
    ...{ dough: measure('grams', 7800), fat: measure('grams', 2400), mm: measure('mm', 3.9) },
  });
  const [dough, fat, mm] = [read.grams('dough'), read.grams('fat'), read.mm('mm')];
  const reading = useMemo(() => (draft ? readDraft(say, draft, units) : null), [draft, units, say]);
  const composed = useDeferredValue(reading?.scheme ?? null);
  const choose = (id: string) => {
    setChosen(id);
    setDraft(null);
  };
  const sizes = [dough, fat, mm];
  const fault = sizes.some(Number.isNaN)
    ? say('schemes.doughButterAndSheetAre')
    : dough <= 0
      ? say('lamination.howMuchDoughGiveIts')
      : fat <= 0
        ? say('lamination.howMuchButterWithoutIt')
        : mm <= 0
          ? say('schemes.aSheetHasAThickness')
          : null;
  const blocks = fault ? 1 : blocksFor((dough + fat) / 1000, blockKg);
  const weights = { dough: dough / blocks, fat: fat / blocks };
  const worked = useMemo((): BlockPlan | Coded | null => {
    if (!composed || fault) return null;
    try {
      return planBlock(composed, { dough: dough / blocks, fat: fat / blocks }, mm, rolling);
    } catch (error) {
      if (error instanceof Fault) return error.fault;
      throw error;
    }
  }, [composed, fault, dough, fat, mm, blocks, rolling]);
  const pile = useMemo(
    () => (composed && !fault ? pileOf(operationsOf(composed), fractionOf(composed, { dough, fat })) : null),
    [composed, fault, dough, fat],
  );

  return (
    <main className="flex-1 p-5">
      <WeightFields field={field} dough={dough} fat={fat} mm={mm} fault={fault} blocks={blocks} />
      {fault && (
        <p role="alert" className="mb-3 border-l-4 border-warn pl-3 text-lg text-warn">
          {fault}
        </p>
      )}
      {!fault && (
        <div className="grid gap-x-8 gap-y-6 lg:grid-cols-[1.55fr_1fr]">
          <div className="grid content-start gap-5">
            <CompareTable
              schemes={schemes}
              {...{ chosen, weights, mm }}
              limits={rolling.limits}
              onChoose={choose}
            />
            {draft && <Composer draft={draft} onChange={setDraft} />}
            {reading?.fault && (
              <p role="alert" className="border-l-4 border-warn pl-3 text-lg text-warn">
                {retold(reading.fault, units)}
              </p>
            )}
            {person.role === 'planner' && (
              <SchemeKeeper
                key={scheme?.versionId ?? 0}
                from={scheme}
                scheme={reading?.scheme ?? null}
                {...{ products, behind }}
              />
            )}
          </div>
          {composed && pile && (
            <InSection
              composed={composed}
              mm={mm}
              weights={weights}
              rolling={rolling}
              pile={pile}
              dough={dough}
              fat={fat}
            />
          )}
        </div>
      )}
      {worked && 'code' in worked && (
        <p role="alert" className="mt-5 border-l-4 border-warn pl-3 text-lg text-warn">
          {say.coded(worked)}
        </p>
      )}
      {worked && !('code' in worked) && (
        <BlockWork worked={worked} blocks={blocks} rolling={rolling} composed={composed} places={places} />
      )}
    </main>
  );
}

interface WeightFieldsProps {
  field: (name: 'mm' | 'dough' | 'fat') => { value: string; onType: (text: string) => void };
  dough: number;
  fat: number;
  mm: number;
  fault: string | null;
  blocks: number;
}

/** How much dough and butter, and how thin the last sheet. */
function WeightFields({ field, dough, fat, mm, fault, blocks }: WeightFieldsProps) {
  const say = useWords();
  const [units] = useUnits();
  return (
    <div className="mb-3 flex flex-wrap items-end gap-x-6 gap-y-2">
      <Tabs at="/lamination" />
      <div className="grid w-full max-w-lg grid-cols-3 gap-2">
        <Field
          label={say('common.doughBeforeButter')}
          {...field('dough')}
          trouble={unless(dough, wants(say, 'grams'))}
        />
        <Field label={say('schemes.butter2')} {...field('fat')} trouble={unless(fat, wants(say, 'grams'))} />
        <Field label={say('schemes.finalSheet2')} {...field('mm')} trouble={unless(mm, wants(say, 'mm'))} />
      </div>
      {!fault && (
        <p className="pb-2 text-[16px] text-quiet">
          {say('schemes.inAllOneBlockBlocks', { mass: showMass(dough + fat, units), blocks })}
        </p>
      )}
    </div>
  );
}

interface InSectionProps {
  composed: Scheme;
  mm: number;
  weights: { dough: number; fat: number };
  rolling: RollingHouse;
  pile: Pile;
  dough: number;
  fat: number;
}

/** The scheme folded: its layers in numbers and drawn. */
function InSection({ composed, mm, weights, rolling, pile, dough, fat }: InSectionProps) {
  const say = useWords();
  const [units] = useUnits();
  const finest =
    composed && pile
      ? outcomeOf(composed, { dough, fat }, { mm, limits: rolling.limits[composed.kind] }).layers.meanFat
      : 1;
  return (
    <section aria-labelledby="section-heading" className="grid content-start gap-3">
      <h2 id="section-heading" className="text-xl font-semibold">
        {say('schemes.at', {
          schemeName: say.coded(schemeName(composed)),
          length: showLength(mm, units),
        })}
      </h2>
      <LayerFacts scheme={composed} {...{ weights, mm }} limits={rolling.limits} />
      <SectionView pile={pile} mm={mm} finest={finest} />
    </section>
  );
}

interface BlockWorkProps {
  worked: BlockPlan;
  blocks: number;
  rolling: RollingHouse;
  composed: Scheme | null;
  places: Pick<Props, 'room' | 'cold' | 'zone'>;
}

/** One block worked through: its sheets, how butter lies on the dough, and when the butter is ready. */
function BlockWork({ worked, blocks, rolling, composed, places }: BlockWorkProps) {
  return (
    <div className="mt-6 grid gap-6">
      <GeometryStrip plan={worked} blocks={blocks} />
      <div className="grid gap-8 lg:grid-cols-2">
        {worked.lockIn && (
          <FitPanel
            key={`${worked.lockIn.style} ${worked.lockIn.butter.length.toFixed(1)}`}
            plan={worked.lockIn}
            laying={rolling.laying}
            flour={composed?.flourInFat ?? 0}
          />
        )}
        <ButterPanel
          key={worked.lockIn?.butter.mm ?? 10}
          blockMm={worked.lockIn?.butter.mm ?? 10}
          {...places}
        />
      </div>
    </div>
  );
}
