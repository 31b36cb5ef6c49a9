export { connectorKey, sameConnector, type Connector, type Gender } from './connector.js';
export { ConnectorSchema } from './connector-schema.js';
export { families, familyById, type Family } from './family.js';
export { inchStraightThreads } from './flare-sizes.js';
export { ConnectorSyntaxError } from './connector-syntax-error.js';
export { parseConnector } from './parse-connector.js';
export { formatConnector } from './format-connector.js';
export { describeConnector, connectorName, connectorThread, type ConnectorDescription } from './describe-connector.js';
export { endForm, boreSizeMm, type EndForm } from './end-form.js';
