import { JOINTS, type Joint } from '#core/knowledge/vocabulary'

/** Ends a joint (one journal line) and goes to the next, which is then lit. */
export function useJointEnd() {
  const { visit, state } = useVisitContext()
  return function endJoint(joint: Joint): Promise<unknown> {
    if (!state.value.jointsDone.has(joint)) visit.append('joint-done', { joint })
    const next = JOINTS[JOINTS.indexOf(joint) + 1] ?? joint
    return Promise.resolve(navigateTo({ name: 'visits-id-joint', params: { id: state.value.id, joint: next } }))
  }
}
