/** Names a step of a dough for the schedule; nobody takes the name apart again. */
export const taskId = (doughId: number, key: string): string => `${doughId}/${key}`;
