-- What a visitor of the demo has asked of its stand-ins: that nobody works by themselves, that a door is left open.
ALTER TABLE demo_clock ADD COLUMN IF NOT EXISTS crew BOOLEAN NOT NULL DEFAULT TRUE;
ALTER TABLE demo_clock ADD COLUMN IF NOT EXISTS open_door VARCHAR(40) NULL;
ALTER TABLE demo_clock ADD COLUMN IF NOT EXISTS door_shut_at DATETIME(3) NULL;
