export { ReadyScreen as default } from '../../mise/ready/ReadyScreen'
