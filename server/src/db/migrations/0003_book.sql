-- The book: what the kitchen changed of the ingredient table, prices with their history, sub-recipes, styles, tastings.
ALTER TABLE kitchen
  ADD COLUMN currency CHAR(3) NOT NULL DEFAULT 'USD' AFTER locale,
  ADD COLUMN styles JSON NULL,
  ADD COLUMN styles_version INT NOT NULL DEFAULT 0;

-- The newest version of a dish that left the book says so; older ones stay for the runs that cooked them.
ALTER TABLE dish_version ADD COLUMN is_gone BOOLEAN NOT NULL DEFAULT FALSE;

CREATE TABLE recipe_version (
  kitchen_id VARCHAR(64) NOT NULL,
  recipe_id VARCHAR(64) NOT NULL,
  version INT NOT NULL,
  body JSON NOT NULL,
  is_gone BOOLEAN NOT NULL DEFAULT FALSE,
  created_at_ms BIGINT NOT NULL,
  PRIMARY KEY (kitchen_id, recipe_id, version),
  FOREIGN KEY (kitchen_id) REFERENCES kitchen (id)
);

-- Rows that the kitchen changed or added; every other row is that of the table that ships.
CREATE TABLE ingredient (
  kitchen_id VARCHAR(64) NOT NULL,
  id VARCHAR(64) NOT NULL,
  version INT NOT NULL,
  body JSON NOT NULL,
  PRIMARY KEY (kitchen_id, id),
  FOREIGN KEY (kitchen_id) REFERENCES kitchen (id)
);

CREATE TABLE ingredient_price (
  kitchen_id VARCHAR(64) NOT NULL,
  ingredient_id VARCHAR(64) NOT NULL,
  from_day DATE NOT NULL,
  pack_name VARCHAR(80) NOT NULL,
  pack_g DOUBLE NOT NULL,
  price_minor INT NOT NULL,
  PRIMARY KEY (kitchen_id, ingredient_id, from_day),
  FOREIGN KEY (kitchen_id) REFERENCES kitchen (id)
);

CREATE TABLE tasting (
  kitchen_id VARCHAR(64) NOT NULL,
  id UUID NOT NULL,
  dish_id VARCHAR(64) NOT NULL,
  dish_version INT NOT NULL,
  verdict VARCHAR(16) NOT NULL,
  strength VARCHAR(8) NOT NULL,
  at_ms BIGINT NOT NULL,
  added JSON NOT NULL,
  received_at_ms BIGINT NOT NULL,
  PRIMARY KEY (kitchen_id, id),
  KEY of_dish (kitchen_id, dish_id, at_ms),
  FOREIGN KEY (kitchen_id) REFERENCES kitchen (id)
);
