import { type SettingName, SETTINGS } from '@/core/bakery/settings';
import { type Db, rowsOf, write } from '../db/rows';

/** The name of a value as its row has it: `planSeconds` is `plan_seconds`. */
const rowName = (name: SettingName) => name.replace(/[A-Z]/g, (letter) => `_${letter.toLowerCase()}`);

/** Sets a value of the house. */
export async function saveHouseValue(db: Db, name: SettingName, value: number): Promise<void> {
  await write(
    db,
    `INSERT INTO house_value (name, value, unit, note) VALUES (?, ?, ?, '')
     ON DUPLICATE KEY UPDATE value = VALUES(value)`,
    [rowName(name), value, SETTINGS[name].unit.slice(0, 20)],
  );
}

/** Who set each value last, and when: from the house's record. */
export async function valueChanges(
  db: Db,
): Promise<Partial<Record<SettingName, { by: string; at: number }>>> {
  const rows = await rowsOf<{ setting: SettingName; by: string; at: Date }>(
    db,
    `SELECT JSON_VALUE(becomes, '$.setting') AS setting, name AS \`by\`, at
     FROM audit JOIN person ON person.id = audit.person_id WHERE command = 'set-value' ORDER BY at, audit.id`,
  );
  return Object.fromEntries(rows.map(({ setting, by, at }) => [setting, { by, at: at.getTime() }]));
}
