export { IngredientsScreen as default } from '../../../book/ingredient/IngredientsScreen'
