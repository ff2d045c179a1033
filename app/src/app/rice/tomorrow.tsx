export { TomorrowScreen as default } from '../../rice/tomorrow/TomorrowScreen'
