import { describe, expect, it } from 'vitest';
import { faultOf } from '../../../test-support/words';
import { type FilePiece, fileOfPiece, pieceOfFile } from './file-piece';

const PIECE: FilePiece = {
  ...{ grams: 75, perTray: 12, scrap: 0.05 },
  washes: [
    { name: 'egg wash', formula: 'Egg wash', moment: 'proofed', grams: 2 },
    { name: 'milk', moment: 'shaped' },
  ],
};
const formulaOf = (name: string) => (name === 'Egg wash' ? 7 : undefined);

describe('a piece in a file', () => {
  it('names the formulas of its parts, and is the same again', () => {
    const own = pieceOfFile(PIECE, formulaOf);
    expect(own.washes).toEqual([
      { name: 'egg wash', formulaId: 7, moment: 'proofed', grams: 2 },
      { name: 'milk', moment: 'shaped' },
    ]);
    expect(fileOfPiece(own, (id) => (id === 7 ? 'Egg wash' : undefined))).toEqual(PIECE);
  });

  it('goes out without a formula that is not there any more', () => {
    expect(fileOfPiece(pieceOfFile(PIECE, formulaOf), () => undefined).washes?.[0]).not.toHaveProperty(
      'formula',
    );
  });

  it('is refused where a part is made by a formula that nobody knows, by name', () => {
    expect(faultOf(() => pieceOfFile(PIECE, () => undefined))).toContain('egg wash needs Egg wash');
  });
});
