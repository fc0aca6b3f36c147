import { takeReadings } from '@/server/intake';

/** Probes send here; see `docs/devices.md`. */
export const POST = (request: Request) => takeReadings(request);
