-- What a kitchen measures, prints and takes orders with. The sample kitchen shows every stand-in; the figures of a stand-in
-- are made up, and an own kitchen has none of them until it says so.
ALTER TABLE kitchen ADD COLUMN instruments JSON NOT NULL DEFAULT '[]';
UPDATE kitchen SET instruments = '["scale","probe","surface","printer","feed"]' WHERE id = 'low-tide';
