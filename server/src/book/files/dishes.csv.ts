import type { Dish } from 'contract/dish'
import { stringify } from 'csv-stringify/sync'
import { csvText } from '../../http/csv'

/** Every dish as CSV (RFC 4180, UTF-8), a line a component; the first six columns are those of the import. */
export function dishesCsv(dishes: readonly Dish[]): string {
  return stringify(
    dishes.flatMap((dish) =>
      dish.components.map((one) => [
        csvText(dish.name),
        csvText(one.name),
        one.role,
        one.state,
        one.cut ? [one.cut.shape, one.cut.sizeMm && `${one.cut.sizeMm} mm`].filter(Boolean).join(' ') : '',
        one.ratioG,
        one.scaling,
        one.ingredientId ?? '',
        one.recipeId ?? '',
        one.allergens.join(' '),
      ]),
    ),
    {
      header: true,
      record_delimiter: 'windows',
      columns: [
        'dish',
        'name',
        'role',
        'state',
        'cut',
        'g per 100 g rice',
        'scaling',
        'ingredient',
        'subRecipe',
        'allergens',
      ],
    },
  )
}
