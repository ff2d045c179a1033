export { RiceScreen as default } from '../../rice/RiceScreen'
