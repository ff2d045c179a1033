/** The screens of the stage, loaded as one file (`ui/lazyScreen`). */
export { AddRiceScreen } from './AddRiceScreen'
export { LotScreen } from './lot/LotScreen'
export { PastRiceScreen } from './PastRiceScreen'
export { RiceScreen } from './RiceScreen'
export { TomorrowScreen } from './tomorrow/TomorrowScreen'
