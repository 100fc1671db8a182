// The first run offers the time zone in which its browser is, until somebody has chosen one.
export const zone = () => ({
  init() {
    const list = this.$root.querySelector('[data-zone]');
    const here = Intl.DateTimeFormat().resolvedOptions().timeZone;
    const typedBefore = this.$root.querySelector('input[name="centre"]').value !== '';
    if (!typedBefore && [...list.options].some(option => option.value === here)) list.value = here;
  },
});
