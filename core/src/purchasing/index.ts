export { partsList, partGroups, type PartsList, type PartRow, type PartGroup } from './parts-list.js';
