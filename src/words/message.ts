import type { CompiledMessage } from 'icu-minify/format';
import type { en } from './en';

/** The messages of a language by area; English has them all, and says which there are. */
export type Catalog = typeof en;
export type Area = keyof Catalog;

/** Names a message: `oven.ofTraysIn`. */
export type MessageKey = { [A in Area]: `${A}.${Extract<keyof Catalog[A], string>}` }[Area];

/** What can stand for a name in a message. */
export type Value = string | number | boolean;

/** Compiled messages of some areas, as they are sent to a screen. */
export type Messages = Partial<Record<Area, Readonly<Record<string, CompiledMessage>>>>;

/** A language that there is a catalog of. */
export type Language = 'en';
