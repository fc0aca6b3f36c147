import type { Pool } from 'mysql2/promise';
import { write } from '@/server/db/rows';

/** Readings of a place's probe, as if it had sent them: each with its time and °C. */
export const saveReadings = (db: Pool, place: string, readings: readonly (readonly [number, number])[]) =>
  write(
    db,
    `INSERT INTO place_reading (place, at, celsius, source) VALUES ?
     ON DUPLICATE KEY UPDATE celsius = VALUES(celsius), source = 'probe', person_id = NULL`,
    [readings.map(([at, celsius]) => [place, new Date(at), celsius, 'probe'])],
  );
