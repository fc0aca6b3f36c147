export const thread = {
  daysAndHours: 'Days and hours',
  toDo: 'to do',
  underWay: 'under way',
  done: 'done',
  skipped: 'skipped',
} as const;
