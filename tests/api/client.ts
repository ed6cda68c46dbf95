/** A client that keeps its cookie, as a browser does. */
export class Client {
  cookie = ''
  /** @param address where it says it comes from, for a server that believes its proxy */
  constructor(
    public url: string,
    private readonly address?: string,
  ) {}
  async call(
    method: string,
    path: string,
    body?: unknown,
    raw?: string,
  ): Promise<{ status: number; body: unknown; headers: Headers }> {
    const response = await fetch(`${this.url}/api/v1${path}`, {
      method,
      headers: {
        ...(body === undefined && raw === undefined ? {} : { 'content-type': 'application/json' }),
        cookie: this.cookie,
        ...(this.address ? { 'x-forwarded-for': this.address } : {}),
      },
      body: raw ?? (body === undefined ? undefined : JSON.stringify(body)),
    })
    const set = response.headers.getSetCookie()[0]
    if (set) this.cookie = set.split(';')[0]!
    const text = await response.text()
    return { status: response.status, body: text ? JSON.parse(text) : null, headers: response.headers }
  }
}
