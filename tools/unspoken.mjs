/**
 * Sentences that are glued into a text instead of being rendered: in a template, with plus, joined, or made a string; and on screens their bare
 * message, which is the same for sentences that differ in their values only (as a key it makes two rows one).
 */
import ts from 'typescript'

const projects = [
  'packages/core',
  'packages/formats',
  'packages/contract',
  'packages/words',
  'apps/server',
  'apps/cli',
  'apps/web',
]
const found = new Set()
const onScreen = (node) => node.getSourceFile().fileName.includes('/apps/web/src/')
for (const project of projects) {
  const config = ts.getParsedCommandLineOfConfigFile(
    `${project}/tsconfig.json`,
    {},
    { ...ts.sys, onUnRecoverableConfigFileDiagnostic: () => {} },
  )
  const program = ts.createProgram(config.fileNames, config.options)
  const checker = program.getTypeChecker()
  const isSentence = (type) =>
    (type.isUnion() ? type.types : [type]).some((t) => t.getProperty?.('text') && t.getProperty?.('with'))
  const typeOf = (node) => checker.getTypeAtLocation(node)

  for (const file of program.getSourceFiles()) {
    if (file.isDeclarationFile || file.fileName.includes('node_modules')) continue
    const look = (node) => {
      for (const glued of gluedIn(node)) {
        const { line } = file.getLineAndCharacterOfPosition(glued.getStart(file))
        found.add(`${file.fileName.replace(`${process.cwd()}/`, '')}:${line + 1} ${glued.getText(file).slice(0, 60)}`)
      }
      ts.forEachChild(node, look)
    }
    look(file)
  }

  function gluedIn(node) {
    if (ts.isTemplateExpression(node) && !ts.isTaggedTemplateExpression(node.parent))
      return node.templateSpans.map((span) => span.expression).filter((e) => isSentence(typeOf(e)))
    if (ts.isBinaryExpression(node) && node.operatorToken.kind === ts.SyntaxKind.PlusToken)
      return [node.left, node.right].filter((e) => isSentence(typeOf(e)))
    if (ts.isPropertyAccessExpression(node) && node.name.text === 'text' && onScreen(node))
      return isSentence(typeOf(node.expression)) ? [node] : []
    if (!ts.isCallExpression(node)) return []
    const { expression, arguments: given } = node
    if (ts.isIdentifier(expression) && expression.text === 'String' && given[0] && isSentence(typeOf(given[0])))
      return [node]
    if (!ts.isPropertyAccessExpression(expression) || expression.name.text !== 'join') return []
    const item = checker.getIndexTypeOfType(typeOf(expression.expression), ts.IndexKind.Number)
    return item && isSentence(item) ? [node] : []
  }
}
for (const place of found) process.stdout.write(`${place}\n`)
process.exitCode = found.size === 0 ? 0 : 1
