declare module 'pdfmake/build/pdfmake.js' {
  const maker: unknown
  export default maker
}
declare module 'pdfmake/build/vfs_fonts.js' {
  const letters: object
  export default letters
}
