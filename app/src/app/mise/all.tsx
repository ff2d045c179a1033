export { AllScreen as default } from '../../mise/doing/AllScreen'
