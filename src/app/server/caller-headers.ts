/** Headers in which the server tells its pages where a visitor calls from: what a visitor sends in them is thrown away. */
export const ADDRESS_HEADER = 'x-fair-grey-address';
export const PROTOCOL_HEADER = 'x-fair-grey-protocol';
