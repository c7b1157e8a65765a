import { connect, createServer, type Server, type Socket } from 'node:net'

/**
 * What the wire does to the next request: lets it through, loses it on its way there, or loses its reply, at once or
 * late.
 */
export type WireFault = 'none' | 'cut before' | 'cut after' | 'cut in the reply' | 'slow'

/** A wire on loopback between a client and the server that can be told to fail; one fault a connection. */
export class Wire {
  private readonly server: Server
  private readonly open = new Set<Socket>()
  private next: WireFault = 'none'
  port = 0

  constructor(private readonly to: number) {
    this.server = createServer(client => this.carry(client))
  }

  async listen(): Promise<this> {
    await new Promise<void>(done => this.server.listen(0, '127.0.0.1', done))
    this.port = (this.server.address() as { port: number }).port
    return this
  }

  /** The next connection meets this. */
  fail(fault: WireFault): void {
    this.next = fault
  }

  private carry(client: Socket): void {
    const fault = this.next
    this.next = 'none'
    this.open.add(client)
    client.once('close', () => this.open.delete(client))
    client.on('error', () => {})
    if (fault === 'cut before') return void client.once('data', () => client.destroy())
    const server = connect(this.to, '127.0.0.1')
    server.on('error', () => client.destroy())
    server.once('close', () => client.end())
    client.once('close', () => server.destroy())
    if (fault === 'slow') setTimeout(() => client.pipe(server), 40)
    else client.pipe(server)
    // the request arrives and is worked; its reply is lost
    if (fault === 'cut after') server.once('data', () => client.destroy())
    else if (fault === 'cut in the reply')
      server.once('data', (piece: Buffer) => {
        client.write(piece.subarray(0, Math.max(1, piece.length >> 1)), () => client.destroy())
      })
    else server.pipe(client)
  }

  async close(): Promise<void> {
    for (const socket of this.open) socket.destroy()
    await new Promise<void>(done => this.server.close(() => done()))
  }
}
