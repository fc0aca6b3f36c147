export const remarks = {
  atTheCoreDoesNot: 'At {celsius} the core does not come to {celsius2}.',
  atItDoesNotRise: 'At {celsius} it does not rise within {duration}.',
  itHasRisenAlreadyIn: 'It has risen already in the waits before.',
} as const;
