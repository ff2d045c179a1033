-- A page of the record counts the troubles of forty runs: found by their kind, without reading what else was said in them.
ALTER TABLE run_event ADD KEY of_run_by_kind (kitchen_id, run_id, kind);
