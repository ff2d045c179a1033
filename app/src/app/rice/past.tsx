export { PastRiceScreen as default } from '../../rice/PastRiceScreen'
