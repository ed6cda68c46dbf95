import ts from 'typescript'

/** One small slip in a source file: the text between two places, and what it becomes. */
export interface Mutation {
  from: number
  to: number
  text: string
  what: string
}

const SWAPS: Partial<Record<ts.SyntaxKind, string>> = {
  [ts.SyntaxKind.PlusToken]: '-',
  [ts.SyntaxKind.MinusToken]: '+',
  [ts.SyntaxKind.AsteriskToken]: '/',
  [ts.SyntaxKind.SlashToken]: '*',
  [ts.SyntaxKind.LessThanToken]: '>=',
  [ts.SyntaxKind.GreaterThanToken]: '<=',
  [ts.SyntaxKind.LessThanEqualsToken]: '>',
  [ts.SyntaxKind.GreaterThanEqualsToken]: '<',
  [ts.SyntaxKind.EqualsEqualsEqualsToken]: '!==',
  [ts.SyntaxKind.ExclamationEqualsEqualsToken]: '===',
  [ts.SyntaxKind.AmpersandAmpersandToken]: '||',
  [ts.SyntaxKind.BarBarToken]: '&&',
  [ts.SyntaxKind.PlusEqualsToken]: '-=',
  [ts.SyntaxKind.AsteriskEqualsToken]: '/=',
}
const METHODS: Record<string, string> = {
  min: 'max',
  max: 'min',
  floor: 'ceil',
  some: 'every',
  every: 'some',
  find: 'filter',
}

/** A number that differs plainly from another but is of its size. */
const otherNumber = (text: string) => {
  const n = Number(text)
  return String(n === 0 ? 1 : n === 1 ? 2 : n * 1.4)
}

/** Every slip that could be made in a file's code (not in its types), in their order. */
export function mutationsOf(path: string, source: string): Mutation[] {
  const file = ts.createSourceFile(path, source, ts.ScriptTarget.ES2022, true)
  const out: Mutation[] = []
  const add = (node: ts.Node, text: string, what: string) =>
    out.push({ from: node.getStart(file), to: node.getEnd(), text, what })
  const visit = (node: ts.Node): void => {
    if (ts.isTypeNode(node) || ts.isInterfaceDeclaration(node) || ts.isTypeAliasDeclaration(node)) return
    if (ts.isImportDeclaration(node) || ts.isExportDeclaration(node)) return
    if (ts.isBinaryExpression(node)) {
      const swap = SWAPS[node.operatorToken.kind]
      const words = ts.isStringLiteralLike(node.left) || ts.isStringLiteralLike(node.right)
      if (swap && !words) add(node.operatorToken, swap, `${node.operatorToken.getText(file)} to ${swap}`)
    }
    if (ts.isNumericLiteral(node)) add(node, otherNumber(node.text), `${node.text} to ${otherNumber(node.text)}`)
    if (node.kind === ts.SyntaxKind.TrueKeyword) add(node, 'false', 'true to false')
    if (node.kind === ts.SyntaxKind.FalseKeyword) add(node, 'true', 'false to true')
    if (ts.isPropertyAccessExpression(node) && METHODS[node.name.text]) {
      add(node.name, METHODS[node.name.text]!, `${node.name.text} to ${METHODS[node.name.text]}`)
    }
    if (ts.isIfStatement(node) || ts.isConditionalExpression(node)) {
      const test = ts.isIfStatement(node) ? node.expression : node.condition
      add(test, `!(${test.getText(file)})`, 'a condition turned round')
    }
    if (ts.isExpressionStatement(node) && ts.isCallExpression(node.expression)) add(node, ';', 'a call left out')
    ts.forEachChild(node, visit)
  }
  visit(file)
  return out
}
