export { cutTickets, type CutTicket, type TicketEnd, type NotReady } from './cut-tickets.js';
