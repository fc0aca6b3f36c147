import { takeWeight } from '@/server/intake/weights';

/** The scale sends here; see `docs/devices.md`. */
export const POST = (request: Request) => takeWeight(request);
