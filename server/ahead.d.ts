/** What each place asks for ahead, by its address: made with the build (tools/build/ahead.ts). */
declare module '#places-ahead' {
  const ahead: Record<string, { scripts: string[]; styles: string[]; later: { as: 'font' | 'fetch'; file: string }[] }>
  export default ahead
}
