export const MACHINES: {
  id: string;
  label: string;
  capacity: number;
  unit: string;
  kg: number | null;
  changeover: number;
  decks?: number;
}[] = [
  { id: 'mixer', label: 'Mixer', capacity: 1, unit: 'bowl', kg: 40, changeover: 0 },
  { id: 'bench', label: 'Benches', capacity: 2, unit: 'tables', kg: null, changeover: 0 },
  { id: 'sheeter', label: 'Sheeter', capacity: 1, unit: 'table', kg: null, changeover: 0 },
  { id: 'retarder', label: 'Cold shelves', capacity: 30, unit: 'shelves', kg: null, changeover: 0 },
  { id: 'freezer', label: 'Freezer', capacity: 12, unit: 'shelves', kg: null, changeover: 0 },
  { id: 'proofer', label: 'Proofer', capacity: 20, unit: 'trays', kg: null, changeover: 20 },
  { id: 'oven', label: 'Oven', capacity: 9, unit: 'trays', kg: null, changeover: 15, decks: 3 },
  { id: 'tray', label: 'Trays', capacity: 60, unit: 'trays', kg: null, changeover: 0 },
  { id: 'tin', label: 'Tins', capacity: 48, unit: 'tins', kg: null, changeover: 0 },
];
