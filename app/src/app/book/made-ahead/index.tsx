export { MadeAheadScreen as default } from '../../../book/recipe/MadeAheadScreen'
