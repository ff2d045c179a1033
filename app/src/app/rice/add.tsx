export { AddRiceScreen as default } from '../../rice/AddRiceScreen'
