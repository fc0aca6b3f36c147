import { describe, expect, it } from 'vitest';
import { inTodaysForm, pieceInLists } from './first-products';

describe('files of the first form', () => {
  it('have their one filling, wash and topping in lists', () => {
    const piece = {
      grams: 60,
      filling: { name: 'jam' },
      wash: { name: 'milk' },
      topping: { mark: 'one cut' },
    };
    expect(inTodaysForm({ format: 'hefeteig-products/1', products: [{ name: 'Roll', piece }] })).toEqual({
      format: 'hefeteig-products/2',
      products: [
        {
          name: 'Roll',
          piece: {
            grams: 60,
            fillings: [{ name: 'jam' }],
            washes: [{ name: 'milk', moment: 'proofed' }],
            toppings: [{ name: 'one cut', moment: 'proofed' }],
          },
        },
      ],
    });
  });

  it('and of any other form stay what they are, as does what is no piece at all', () => {
    const today = { format: 'hefeteig-products/2', products: [{ piece: { grams: 60, washes: [] } }] };
    expect(inTodaysForm(today)).toBe(today);
    expect(inTodaysForm({ format: 'hefeteig-products/1', products: 'none' })).toMatchObject({
      products: 'none',
    });
    expect(pieceInLists({ grams: 60, washes: [] })).toEqual({ grams: 60, washes: [] });
    expect(pieceInLists(null)).toBeNull();
  });
});
