import { scriptParts } from '@/server/parts';

/** Addresses of all scripts of this version, for the service worker to keep. */
export const GET = async () => Response.json(await scriptParts());
