-- Batches in numbers say what ovens and proofers held of them now: what was worked out before is worked out anew.
DELETE FROM batch_summary;
