/** The sheet that is open on the house page, and whom or what it is about. */
export type OpenSheet =
  | { sheet: 'person' | 'machine' | 'place'; id: string }
  | { sheet: 'exception' | 'busy' | 'set-up' | 'bakery' }
  | null;
