/** A stretch of a body of revolution along its axis: outer radius at both ends, bore radius at both ends, all mm. */
export interface Section {
  readonly from: number;
  readonly to: number;
  readonly radius: number;
  readonly radiusTo?: number;
  readonly bore: number;
  readonly boreTo?: number;
  readonly surface?: 'plain' | 'thread' | 'hex' | 'knurl' | 'inner-thread';
  readonly pitch?: number;
}
