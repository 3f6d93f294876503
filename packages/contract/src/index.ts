/** Requests and responses shared by the server and the web application's forms. */
export * from './requests.js';
export * from './cutting.js';
export type * from './responses.js';
