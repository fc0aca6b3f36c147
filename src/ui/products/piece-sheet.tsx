'use client';

import { useState } from 'react';
import { PIECE_SHAPES, type PieceShape, SHAPE_WORDS } from '@/core/cutting/piece';
import type { MakingBakery } from '@/core/process/product-faults';
import type { PieceSpec } from '@/core/process/route';
import { SHAPE_KINDS, type ShapeKind, SHAPES } from '@/core/shaping/shapes';
import { upperFirst } from '@/words/first-letter';
import type { Say } from '@/words/say';
import { Choice } from '../kit/field';
import { without } from '../kit/without';
import { useWords } from '../kit/words';
import { FormSheet } from './form-sheet';
import { MachineChoice } from './machine-choice';
import { typed, type TypedField, useTypedForm } from '../kit/typed-form';

const FIELDS = (say: Say, shape: PieceShape | '') => {
  const words = shape === '' ? null : SHAPE_WORDS[shape];
  return {
    grams: { kind: 'grams', label: say('product.weight') },
    perTray: { kind: 'number', label: say('product.perTray') },
    scrap: { kind: 'number', label: say('product.scrap'), hint: say('product.scrapHint') },
    tins: { kind: 'number', isOptional: true, label: say('product.tins') },
    tolerance: { kind: 'grams', isOptional: true, label: say('product.tolerance') },
    mm: { kind: 'mm', label: say('product.sheetAt') },
    base: { kind: 'cm', label: words ? upperFirst(say.coded(words.base)) : '' },
    height: { kind: 'cm', label: words?.height ? upperFirst(say.coded(words.height)) : '' },
    sectors: { kind: 'number', label: say('product.sectors') },
  } satisfies Record<string, TypedField>;
};

const begin = ({ grams, perTray, scrap, tins, tolerance, cut }: PieceSpec) => ({
  ...{ grams: typed(grams, 'g'), perTray: typed(perTray), scrap: typed(scrap * 100), tins: typed(tins) },
  ...{ tolerance: typed(tolerance, 'g'), mm: typed(cut?.mm ?? 4, 'mm') },
  ...{ base: typed(cut?.size.base ?? 10, 'cm'), height: typed(cut?.size.height ?? 10, 'cm') },
  sectors: typed(cut?.size.sectors ?? 12),
});

interface Props {
  piece: PieceSpec;
  machines: MakingBakery['machines'];
  onKeep: (piece: PieceSpec) => void;
  onClose: () => void;
}

/** What a piece is: its weight, how it is cut or divided, and how it stands on a tray. */
export function PieceSheet({ piece, machines, onKeep, onClose }: Props) {
  const say = useWords();
  const [shape, setShape] = useState<PieceShape | ''>(piece.cut?.size.shape ?? '');
  const [as, setAs] = useState<ShapeKind | ''>(piece.shape ?? '');
  const [tinKinds, setTinKinds] = useState<string[]>(piece.tinKinds ?? []);
  const form = useTypedForm(FIELDS(say, shape), begin(piece));
  const hasHeight = shape !== '' && SHAPE_WORDS[shape].height !== null;
  const keep = () => {
    const all = form.read(['grams', 'perTray', 'scrap', 'tins']);
    const cut = shape === '' ? {} : form.read(['mm', 'base']);
    const height = hasHeight ? form.read(['height']) : {};
    const sectors = shape === 'sector' ? form.read(['sectors']) : {};
    const divided = shape === '' ? form.read(['tolerance']) : {};
    if (!all || !cut || !height || !sectors || !divided) return;
    onKeep(pieceWith(piece, { ...all, ...cut, ...height, ...sectors, ...divided }, { shape, as, tinKinds }));
  };
  return (
    <FormSheet
      title={say('product.piece')}
      className="grid gap-3 sm:grid-cols-3"
      onKeep={keep}
      onClose={onClose}
    >
      {(['grams', 'perTray', 'scrap', 'tins'] as const).map(form.field)}
      {form.texts.tins.trim() !== '' && (
        <MachineChoice kind="tin" {...{ machines, only: tinKinds }} onChange={setTinKinds} />
      )}
      <Choice
        label={say('product.howCut')}
        value={shape}
        options={[
          { id: '', name: say('product.byWeight') },
          ...PIECE_SHAPES.map((id) => ({ id, name: upperFirst(say.coded(SHAPE_WORDS[id].label)) })),
        ]}
        onChoose={(id) => setShape(id as PieceShape | '')}
      />
      {shape === '' ? form.field('tolerance') : (['mm', 'base'] as const).map(form.field)}
      {hasHeight && form.field('height')}
      {shape === 'sector' && form.field('sectors')}
      <Choice
        label={say('product.shape')}
        value={as}
        options={[
          { id: '', name: say('product.noDrawing') },
          ...SHAPE_KINDS.map((id) => ({ id, name: upperFirst(say.coded(SHAPES[id].label)) })),
        ]}
        onChoose={(id) => setAs(id as ShapeKind | '')}
      />
    </FormSheet>
  );
}

type Numbers = Partial<Record<keyof ReturnType<typeof FIELDS>, number | undefined>>;

function pieceWith(
  before: PieceSpec,
  numbers: Numbers,
  { shape, as, tinKinds }: { shape: PieceShape | ''; as: ShapeKind | ''; tinKinds: string[] },
): PieceSpec {
  const { grams = 0, perTray = 0, scrap = 0, tins, tolerance, mm = 0, base = 0, height, sectors } = numbers;
  const size = { base, height: height ?? base, ...(sectors === undefined ? {} : { sectors }) };
  return {
    ...without(before, 'cut', 'tolerance', 'tins', 'tinKinds', 'shape'),
    ...{ grams, perTray, scrap: scrap / 100 },
    ...(tins === undefined ? {} : { tins, ...(tinKinds.length > 0 ? { tinKinds } : {}) }),
    ...(shape === '' ? {} : { cut: { mm, size: { shape, ...size } } }),
    ...(shape === '' && tolerance !== undefined ? { tolerance } : {}),
    ...(as === '' ? {} : { shape: as }),
  };
}
