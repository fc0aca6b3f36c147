import type { Page } from '@playwright/test';

/** What nobody reads on a tablet of °F and inches. */
export const METRIC = /\d ?(?:°C|mm|cm|kg)(?!\p{L})/u;

/** From the next page on this tablet reads °F, inches and ounces. */
export const readInches = (page: Page) =>
  page.addInitScript(() =>
    localStorage.setItem(
      'hefeteig-units',
      JSON.stringify({ mass: 'oz', temperature: 'F', length: 'in', kitchen: 'us' }),
    ),
  );
