import { coded, type Coded } from '../codes/coded';
import type { SituationId } from './situation';

/** Each situation that ships by its name, and what whoever takes it is told. */
export const SITUATION_WORDS: Readonly<Record<SituationId, { name: Coded; brief: Coded }>> = {
  calm: { name: coded('practice.calm'), brief: coded('practice.calmBrief') },
  slow: { name: coded('practice.slow'), brief: coded('practice.slowBrief') },
  fast: { name: coded('practice.fast'), brief: coded('practice.fastBrief') },
  two: { name: coded('practice.two'), brief: coded('practice.twoBrief') },
  coldProofer: { name: coded('practice.coldProofer'), brief: coded('practice.coldProoferBrief') },
  hotProofer: { name: coded('practice.hotProofer'), brief: coded('practice.hotProoferBrief') },
  dryProofer: { name: coded('practice.dryProofer'), brief: coded('practice.dryProoferBrief') },
  lateNote: { name: coded('practice.lateNote'), brief: coded('practice.lateNoteBrief') },
  shortRest: { name: coded('practice.shortRest'), brief: coded('practice.shortRestBrief') },
  warmMix: { name: coded('practice.warmMix'), brief: coded('practice.warmMixBrief') },
  blindProbe: { name: coded('practice.blindProbe'), brief: coded('practice.blindProbeBrief') },
  thermometer: { name: coded('practice.thermometer'), brief: coded('practice.thermometerBrief') },
  full: { name: coded('practice.full'), brief: coded('practice.fullBrief') },
  everything: { name: coded('practice.everything'), brief: coded('practice.everythingBrief') },
};
