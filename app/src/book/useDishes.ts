import { useQuery } from '@tanstack/react-query'
import { DishList } from 'contract/dish'
import { getJson } from '../device/http'

export const useDishes = () =>
  useQuery({ queryKey: ['book'], queryFn: ({ signal }) => getJson('/dishes', DishList, signal) })
