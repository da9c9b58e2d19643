/** Something is being dragged: what it stands in is not read anew under the hand. */
export const useDragging = () => useState('dragging', () => false)
