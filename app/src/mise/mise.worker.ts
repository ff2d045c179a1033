import { answerQuestions } from '../device/askWorker'
import { workMise } from './miseWork'

onmessage = answerQuestions(workMise)
