-- Keys for what is read of tables that grow: the last tastings, when a station was washed, the last day of the record.
ALTER TABLE tasting ADD KEY by_time (kitchen_id, at_ms);
ALTER TABLE station_event ADD KEY last_of_kind (kitchen_id, station_id, kind, at_ms);
ALTER TABLE rice_demand ADD KEY by_source (kitchen_id, source, day);
