import { coded, type Coded } from '../codes/coded';
import type { StepRemark } from '../process/expand';

/** Why a wait does not do what it is for. */
export function remarkMessage(remark: StepRemark): Coded {
  switch (remark.code) {
    case 'core-out-of-reach':
      return coded('remarks.atTheCoreDoesNot', {
        celsius: { celsius: remark.around },
        celsius2: { celsius: remark.until },
      });
    case 'no-rise':
      return coded('remarks.atItDoesNotRise', {
        celsius: { celsius: remark.around },
        duration: { minutes: remark.within },
      });
    case 'risen-before':
      return coded('remarks.itHasRisenAlreadyIn');
  }
}
