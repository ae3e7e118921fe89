export { demoCommission, demoEvent, demoWorkshop } from './quillfinchPress'
