/** Under it each write carries an id that its sender made: a new one for each write, the same again where the same is sent again. */
export const writeIdHeader = 'X-Write-Id'
