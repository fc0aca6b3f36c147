const BESIDE =
  '{each}{more, plural, =0 {} other {, # more than planned}}{less, plural, =0 {} other {, # left out}}';

export const turns = {
  underWay: `turn {nth} of {of} under way${BESIDE}`,
  none: `no turn yet, {of} to do${BESIDE}`,
  done: `turn {done} of {of} done${BESIDE}`,
} as const;
