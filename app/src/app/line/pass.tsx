export { PassScreen as default } from '../../line/pass/PassScreen'
