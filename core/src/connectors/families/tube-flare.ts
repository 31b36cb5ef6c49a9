/** Of nuts that press the flare of a tube. */
export const TUBE_FLARE = 'The flare of a tube needs its own seat at the bottom of the port; here it presses on nothing.';
