export { CountScreen as default } from '../../mise/count/CountScreen'
