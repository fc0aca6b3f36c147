import type { DoorOpening } from '@/core/shopfloor/catch-up';
import { ask } from '../live/ask';

/** When doors were opened lately; none where nobody answers: times are then offered by the plan. */
export async function doorTimes(): Promise<DoorOpening[]> {
  const answer = await ask('/api/doors', { method: 'GET' });
  return Array.isArray(answer) ? (answer as DoorOpening[]) : [];
}
