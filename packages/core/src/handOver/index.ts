export { type HandedPart, promiseWords, type Told, tellCustomer, type ToldTopic, toldTopics } from './tellCustomer.ts'
