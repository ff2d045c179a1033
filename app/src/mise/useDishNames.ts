import { useDishes } from '../book/useDishes'

/** What the cooks call a dish; its id where the book does not know it any more. */
export function useDishNames(): (dishId: string) => string {
  const dishes = useDishes().data?.dishes ?? []
  return (dishId) => dishes.find((dish) => dish.id === dishId)?.shortName ?? dishId
}
