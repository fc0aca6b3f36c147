import { crowdedHouse } from '../../test-support/crowded-house';
import { applicationWith } from './set-up';

/** The built application with a bakery that is fuller than any. */
export default function setUp(): Promise<() => Promise<void>> {
  return applicationWith(crowdedHouse);
}
