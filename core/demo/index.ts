export { lanternRow } from './lanternRow'
export { demoCommission, demoEvent, demoWorkshop } from './quillfinchPress'
