// Vehicles are dragged from bay to bay. The form on each card does the same by keyboard; a drop fills it in and sends it.
export function bays() {
  return {
    init() {
      this.$root.addEventListener('dragstart', event => {
        const card = event.target.closest?.('[data-vehicle]');
        if (card) {
          event.dataTransfer.setData('text/plain', card.id);
          event.dataTransfer.effectAllowed = 'move';
        }
      });
      this.$root.addEventListener('dragover', event => {
        if (event.target.closest('[data-bay]')) event.preventDefault();
      });
      this.$root.addEventListener('drop', event => {
        const bay = event.target.closest('[data-bay]');
        const form = document.getElementById(event.dataTransfer.getData('text/plain'))?.querySelector('form[data-place]');
        if (bay && form) {
          event.preventDefault();
          form.elements.bay.value = bay.dataset.bay;
          form.requestSubmit();
        }
      });
    },
  };
}
