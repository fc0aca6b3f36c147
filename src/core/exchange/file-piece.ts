import { coded } from '../codes/coded';
import { Fault } from '../codes/fault';
import type { PieceSpec } from '../process/route';
import type { Topping, Wash } from '../shaping/dressing';
import type { Filling } from '../shaping/filling';
import type { DressingPart } from '../shaping/part';

/** A part of a dressing in a file: its formula by its name there. */
type FilePart<Part extends DressingPart> = Omit<Part, 'formulaId'> & { formula?: string };

/** A piece in a file. */
export interface FilePiece extends Omit<PieceSpec, 'fillings' | 'washes' | 'toppings'> {
  fillings?: FilePart<Filling>[];
  washes?: FilePart<Wash>[];
  toppings?: FilePart<Topping>[];
}

/**
 * A piece of a file by the numbers that formulas have in the house.
 *
 * @throws {Fault} where a part is made by a formula that nobody knows
 */
export function pieceOfFile(
  { fillings, washes, toppings, ...piece }: FilePiece,
  formulaOf: (name: string) => number | undefined,
): PieceSpec {
  const own = <Part extends DressingPart>({ formula, ...part }: FilePart<Part>): Part => {
    const formulaId = formula === undefined ? undefined : formulaOf(formula);
    if (formula !== undefined && formulaId === undefined)
      throw new Fault(coded('product.unknownFormula', { part: part.name, formula }));
    return { ...part, ...(formulaId === undefined ? {} : { formulaId }) } as Part;
  };
  return {
    ...piece,
    ...(fillings ? { fillings: fillings.map((part) => own<Filling>(part)) } : {}),
    ...(washes ? { washes: washes.map((part) => own<Wash>(part)) } : {}),
    ...(toppings ? { toppings: toppings.map((part) => own<Topping>(part)) } : {}),
  };
}

/** A piece as a file has it; a formula that is not there any more is left out. */
export function fileOfPiece(
  { fillings, washes, toppings, ...piece }: PieceSpec,
  formulaName: (id: number) => string | undefined,
): FilePiece {
  const named = <Part extends DressingPart>({ formulaId, ...part }: Part): FilePart<Part> => {
    const formula = formulaId === undefined ? undefined : formulaName(formulaId);
    return { ...part, ...(formula === undefined ? {} : { formula }) };
  };
  return {
    ...piece,
    ...(fillings ? { fillings: fillings.map(named) } : {}),
    ...(washes ? { washes: washes.map(named) } : {}),
    ...(toppings ? { toppings: toppings.map(named) } : {}),
  };
}
