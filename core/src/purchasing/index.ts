export { partGroups, partsList, sealUseOf, type PartGroup, type PartRow, type PartsList } from './parts-list.js';
