export const remarks = {
  atTheCoreDoesNot: 'At {celsius} the core does not reach {celsius2}.',
  atItDoesNotRise: 'At {celsius} it does not rise within {duration}.',
  itHasRisenAlreadyIn: 'It has already risen in the earlier waits.',
} as const;
