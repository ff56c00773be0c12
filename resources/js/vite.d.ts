/** What the build hands out beside the scripts: its address. */
declare module '*?url' {
  const address: string
  export default address
}
