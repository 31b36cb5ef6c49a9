export { UnknownThreadError, type Thread, type ThreadSystem } from './thread.js';
export { parseThread, metricThread, unThread, nptThread } from './parse-thread.js';
export { nptSizes } from './npt-table.js';
export { threadData, type ThreadData } from './thread-data.js';
export { fitThreads, type ThreadFit } from './fit-threads.js';
