/** What a command answered: done, or a refusal in a sentence, with the field it belongs to and what could be done instead. */
export type Answer =
  | { ok: true; result: unknown }
  | {
      ok: false;
      status: number;
      message: string;
      field: string | null;
      offer: Record<string, unknown> | null;
    };
