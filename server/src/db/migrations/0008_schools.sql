-- Dishes say how they are cooked in the words of the engine: what was left open is not said, what had another name has its own.
UPDATE dish_version SET body = JSON_REMOVE(body, '$.schools.egg') WHERE JSON_VALUE(body, '$.schools.egg') = 'none';
UPDATE dish_version SET body = JSON_REMOVE(body, '$.schools.rice') WHERE JSON_VALUE(body, '$.schools.rice') = 'tossed';
UPDATE dish_version SET body = JSON_SET(body, '$.schools.rice', 'leaveCrust') WHERE JSON_VALUE(body, '$.schools.rice') = 'crust';
UPDATE dish_version SET body = JSON_SET(body, '$.schools.sauce', 'wall') WHERE JSON_VALUE(body, '$.schools.sauce') = 'onMetal';
UPDATE dish_version SET body = JSON_SET(body, '$.schools.wipe', 'none') WHERE JSON_VALUE(body, '$.schools.wipe') = 'never';
UPDATE dish_version SET body = JSON_SET(body, '$.schools.wipe', 'betweenStages') WHERE JSON_VALUE(body, '$.schools.wipe') = 'afterOut';
