/** The screens of the stage, loaded as one file (`ui/lazyScreen`). */
export { AllScreen } from './doing/AllScreen'
export { CountScreen } from './count/CountScreen'
export { MiseScreen } from './doing/MiseScreen'
export { ReadyScreen } from './ready/ReadyScreen'
export { ServicesScreen } from './services/ServicesScreen'
