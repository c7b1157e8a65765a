/**
 * What goes with every answer. `seq` is the server's, null while the event waits in a browser; `seenSeq` is the last
 * the device had seen. `seenDeviceSeq` is the last number that the browser had given when the page opened the job: all
 * of its own store up to there was on the screen. Events of earlier versions have none.
 */
export interface Envelope {
  id: string
  seq: number | null
  version: 1
  personId: number
  personName: string
  deviceId: string
  deviceSeq: number
  seenSeq: number
  seenDeviceSeq?: number
  /** When it happened, ISO 8601 with offset, by the device's clock. */
  at: string
}
