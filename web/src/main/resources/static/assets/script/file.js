// A chosen file fills the text that is sent: it can be seen and mended before, and pasting does as well.
const LONGEST = 256 * 1024;

export function fromFile() {
  return {
    fits: true,
    async read(event) {
      const file = event.target.files[0];
      if (!file) {
        return;
      }
      this.fits = file.size <= LONGEST;
      if (this.fits) {
        this.$refs.text.value = await file.text();
      }
    },
  };
}
