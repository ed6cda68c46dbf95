import { PATHS } from '#shared/openapi'

/**
 * The methods an address takes, as the API's description has them; none where there is no such
 * address.
 */
export function allowedAt(path: string): string[] {
  const asked = path.replace(/^\/api\/v1|\?.*$/g, '').split('/')
  const matches = (known: string) => {
    const parts = known.split('/')
    return parts.length === asked.length && parts.every((p, i) => p.startsWith('{') || p === asked[i])
  }
  const [, methods = {}] = Object.entries(PATHS).find(([known]) => matches(known)) ?? []
  const names = Object.keys(methods)
    .filter(m => m !== 'parameters')
    .map(m => m.toUpperCase())
  return names.includes('GET') ? [...names, 'HEAD'] : names
}
