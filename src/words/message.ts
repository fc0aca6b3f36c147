import type { CompiledMessage } from 'icu-minify/format';
import type { en } from './en';

/** The messages of a language by area; English says which there are, and the compiler finds one that another language lacks. */
export type Catalog = { [A in keyof typeof en]: { [K in keyof (typeof en)[A]]: string } };
export type Area = keyof Catalog;

/** Names a message: `oven.ofTraysIn`. */
export type MessageKey = { [A in Area]: `${A}.${Extract<keyof Catalog[A], string>}` }[Area];

/** What can stand for a name in a message. */
export type Value = string | number | boolean;

/** Compiled messages of some areas, as they are sent to a screen. */
export type Messages = Partial<Record<Area, Readonly<Record<string, CompiledMessage>>>>;

/** The languages that there is a catalog of, as they are offered. */
export const LANGUAGES = ['de', 'en', 'fr'] as const;
export type Language = (typeof LANGUAGES)[number];
