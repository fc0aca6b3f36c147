/** What an alarm calls for. */
export type AlarmKind =
  | 'preheat'
  | 'wash'
  | 'butter'
  | 'levain'
  | 'thaw'
  | 'alive'
  | 'ready'
  | 'turn-trays'
  | 'look'
  | 'out'
  | 'place'
  | 'silent'
  | 'cooling';
