import { takeReadings, tellTime } from '@/server/intake/readings';

/** Probes send here; see `docs/devices.md`. */
export const POST = (request: Request) => takeReadings(request);

export const GET = (request: Request) => tellTime(request);
