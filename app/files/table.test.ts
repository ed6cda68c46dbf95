import { describe, expect, it } from 'vitest'
import { csvOf, tableRowsOf } from './table'

describe('a table as a file', () => {
  const cells = ['=1+1', '+x', '@sum', '-cmd', '-84.3', '-5', 'plain', "'quoted'", '', '\tx', 'a,b', 'a"b']
  it('holds nothing a spreadsheet would work out, and comes back as it was', () => {
    const text = csvOf(['name', 'n'], [...cells.map(c => [c, -84.3])])
    for (const line of text.split('\r\n')) expect(line).not.toMatch(/^"?[=+@\t]|^"?-(?!\d)/)
    const rows = tableRowsOf(text, ['name'])
    expect(Array.isArray(rows) && rows.map(r => r.name)).toEqual(cells)
    expect(text).toContain("'=1+1")
    expect(text.split('\r\n')[5]).toBe('-84.3,-84.3')
  })
  it('needs its columns named', () => {
    expect(tableRowsOf('a,b\n1,2', ['name'])).toMatchObject({ line: 1, column: 'name' })
  })
})
