import type { SettingName } from '../bakery/settings';
import type { SetUpPart } from '../exchange/set-up-parts';

/** What a file of a set-up would bring to this bakery, before anything is taken from it. */
export interface SetUpPreview {
  /** Whose it is. */
  name: string;
  /** Names of what comes anew, part by part. */
  brings: Record<Exclude<SetUpPart, 'values'>, string[]>;
  /** Names of what the bakery has already, and keeps as its own. */
  keepsOwn: string[];
  /** Values that it would set, from what they are. */
  values: { name: SettingName; was: number; becomes: number }[];
}
