-- What a job found out about a decompressor that the spec does not record: with the machine, or, where a lead signed, with the model.
ALTER TABLE machines ADD COLUMN decompressor ENUM('none', 'there') NULL AFTER meter_unit;
ALTER TABLE engine_models ADD COLUMN decompressor ENUM('none', 'there') NULL;
