import { useMutation, useQueryClient } from '@tanstack/react-query'
import { IngredientList, type Ingredient, type KitchenIngredient, type Price } from 'contract/ingredient'
import { sendJson } from '../../device/http'

export const bodyOf = ({ version: _version, isOwn: _isOwn, prices: _prices, ...row }: KitchenIngredient): Ingredient =>
  row

/** Changes to the ingredient table; the list that comes back stands in at once. */
export function useSaveIngredient() {
  const queries = useQueryClient()
  const settled = {
    onSuccess: (list: IngredientListType) => {
      queries.setQueryData(['book', 'ingredients'], list)
      void queries.invalidateQueries({ queryKey: ['book'] })
    },
    onError: () => void queries.invalidateQueries({ queryKey: ['book', 'ingredients'] }),
  }
  const save = useMutation({
    mutationFn: ({ version, ingredient }: { version: number; ingredient: Ingredient }) =>
      sendJson('PUT', `/ingredients/${ingredient.id}`, { version, ingredient }, IngredientList),
    ...settled,
  })
  const price = useMutation({
    mutationFn: ({ id, price: one }: { id: string; price: Price }) =>
      sendJson('POST', `/ingredients/${id}/prices`, one, IngredientList),
    ...settled,
  })
  const remove = useMutation({
    mutationFn: (id: string) => sendJson('DELETE', `/ingredients/${id}`, undefined, IngredientList),
    ...settled,
  })
  return { save, price, remove, error: save.error ?? price.error ?? remove.error }
}
type IngredientListType = { ingredients: KitchenIngredient[] }
