import ts from 'typescript'

/** One small change to a source that its tests should notice. */
export interface Mutant {
  readonly file: string
  readonly line: number
  readonly start: number
  readonly end: number
  readonly from: string
  readonly to: string
}

const swapped: Partial<Record<ts.SyntaxKind, string>> = {
  [ts.SyntaxKind.PlusToken]: '-',
  [ts.SyntaxKind.MinusToken]: '+',
  [ts.SyntaxKind.AsteriskToken]: '/',
  [ts.SyntaxKind.SlashToken]: '*',
  [ts.SyntaxKind.LessThanToken]: '<=',
  [ts.SyntaxKind.LessThanEqualsToken]: '<',
  [ts.SyntaxKind.GreaterThanToken]: '>=',
  [ts.SyntaxKind.GreaterThanEqualsToken]: '>',
  [ts.SyntaxKind.EqualsEqualsEqualsToken]: '!==',
  [ts.SyntaxKind.ExclamationEqualsEqualsToken]: '===',
  [ts.SyntaxKind.AmpersandAmpersandToken]: '||',
  [ts.SyntaxKind.BarBarToken]: '&&',
}

/** Calls that are left out: `list.filter(f)` becomes `list`. */
const leftOut = new Set(['filter', 'sort', 'reverse', 'slice'])

/**
 * All mutants of a source: operators, conditions, numbers, truths, and calls that are left out. Words (templates), types and figures
 * of practice (numbers that have a name of their own at the top of a file) are no behaviour of the code and stay; so does what stands in
 * for an entry of a list (`list[at] ?? 0`), which the types ask for where the entry is always there.
 */
export function mutantsOf(file: string, text: string): Mutant[] {
  const source = ts.createSourceFile(file, text, ts.ScriptTarget.Latest, true)
  const found: Mutant[] = []
  const add = (node: ts.Node, to: string) => {
    const start = node.getStart(source)
    const line = source.getLineAndCharacterOfPosition(start).line + 1
    found.push({ file, line, start, end: node.end, from: text.slice(start, node.end), to })
  }
  const visit = (node: ts.Node): void => {
    if (ts.isTaggedTemplateExpression(node) || ts.isTypeNode(node) || ts.isImportDeclaration(node)) return
    if (ts.isInterfaceDeclaration(node) || ts.isTypeAliasDeclaration(node)) return
    if (ts.isVariableStatement(node) && node.parent === source && !hasFunction(node)) return
    if (ts.isBinaryExpression(node)) {
      const to = swapped[node.operatorToken.kind]
      if (to !== undefined) add(node.operatorToken, to)
    }
    if (ts.isPrefixUnaryExpression(node)) {
      if (node.operator === ts.SyntaxKind.ExclamationToken) add(node, node.operand.getText(source))
      if (node.operator === ts.SyntaxKind.MinusToken) add(node, node.operand.getText(source))
    }
    if (ts.isIfStatement(node)) {
      add(node.expression, 'true')
      add(node.expression, 'false')
    }
    if (ts.isConditionalExpression(node)) {
      const [yes, no] = [node.whenTrue, node.whenFalse].map((branch) => branch.getText(source))
      add(node, `(${node.condition.getText(source)} ? ${no} : ${yes})`)
    }
    if (ts.isNumericLiteral(node) && !ts.isPropertyAssignment(node.parent) && !standsInForAnEntry(node))
      add(node, String(Number(node.text) + 1))
    if (node.kind === ts.SyntaxKind.TrueKeyword) add(node, 'false')
    if (node.kind === ts.SyntaxKind.FalseKeyword) add(node, 'true')
    if (ts.isCallExpression(node) && ts.isPropertyAccessExpression(node.expression))
      if (leftOut.has(node.expression.name.text)) add(node, node.expression.expression.getText(source))
    ts.forEachChild(node, visit)
  }
  visit(source)
  return found
}

/** The 0 of `list[at] ?? 0`. */
function standsInForAnEntry(node: ts.Node): boolean {
  const around = node.parent
  if (!ts.isBinaryExpression(around) || around.operatorToken.kind !== ts.SyntaxKind.QuestionQuestionToken) return false
  return around.right === node && ts.isElementAccessExpression(around.left)
}

function hasFunction(node: ts.Node): boolean {
  if (ts.isArrowFunction(node) || ts.isFunctionExpression(node) || ts.isClassExpression(node)) return true
  return ts.forEachChild(node, (child) => hasFunction(child) || undefined) ?? false
}
