import { connect, createServer, type Server, type Socket } from 'node:net'

/** The line between a browser and its shop, which can be cut: to the browser, being offline. */
export class Line {
  private readonly ends = new Set<Socket>()
  private isCut = false
  private constructor(
    private readonly server: Server,
    readonly address: string,
  ) {}

  static async to(server: string): Promise<Line> {
    const { hostname, port } = new URL(server)
    return new Promise(resolve => {
      const listening = createServer(near => {
        if (line.isCut) return near.destroy()
        const far = connect(Number(port), hostname)
        for (const [from, to] of [
          [near, far],
          [far, near],
        ] as const) {
          line.ends.add(from)
          from.on('error', () => to.destroy())
          from.on('close', () => (line.ends.delete(from), to.destroy()))
          from.pipe(to)
        }
      }).listen(0, '127.0.0.1', () => {
        const at = listening.address() as { port: number }
        line = new Line(listening, `http://127.0.0.1:${at.port}`)
        resolve(line)
      })
      let line: Line
    })
  }
  cut(): void {
    this.isCut = true
    for (const end of this.ends) end.destroy()
  }
  mend(): void {
    this.isCut = false
  }
  end(): void {
    this.cut()
    this.server.close()
  }
}
