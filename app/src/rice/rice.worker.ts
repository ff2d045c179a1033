import { answerQuestions } from '../device/askWorker'
import { workRice } from './riceWork'

onmessage = answerQuestions(workRice)
