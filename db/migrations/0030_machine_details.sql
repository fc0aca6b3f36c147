-- What is told of a machine of some kinds alone: fan and correction of an oven, how a mixer mixes, what a sheeter rolls out.
ALTER TABLE machine ADD COLUMN IF NOT EXISTS details JSON NULL;
