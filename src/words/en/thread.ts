export const thread = {
  daysAndHours: 'Days and hours',
  toDo: 'to do',
  underWay: 'under way',
} as const;
