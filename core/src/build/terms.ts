/**
 * What may be said of bodies and routes, for whoever checks what is sent: lists and ranges without the computation behind them.
 */
export { BODY_STYLES } from './body/bodyStyles';
export { ROUTE_AIMS } from './route/routeAims';
