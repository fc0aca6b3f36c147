import type { Coded } from './coded';

/** What was asked for cannot be worked out; `fault` says why, for whoever asked. */
export class Fault extends RangeError {
  constructor(readonly fault: Coded) {
    super(fault.code);
  }
}
