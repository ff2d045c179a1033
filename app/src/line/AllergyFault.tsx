import type { Kitchen } from 'contract/kitchen'
import { leadIdsOf } from 'contract/kitchen'
import { View } from 'react-native'
import { usePersonId } from '../people/me'
import { WhoButton } from '../people/WhoButton'
import { HoldButton } from '../ui/HoldButton'
import { Notice } from '../ui/Notice'
import { useWords } from '../words/i18n'
import type { DraftFault } from './draftTicket'

/** Why a line cannot be sent: what contains it, what nobody knows, or what only the lead may take on. */
export function AllergyFault(props: { fault: DraftFault; kitchen: Kitchen; onAllowed: (leadId: string) => void }) {
  const { fault, kitchen, onAllowed } = props
  const t = useWords('line')
  const name = useWords('ui')
  const words = {
    dish: fault.dish.shortName,
    allergen: name(`allergens.${fault.allergen}`),
    components: fault.components.join(', '),
  }
  const personId = usePersonId()
  const lead = kitchen.staff.find(({ id }) => id === personId && leadIdsOf(kitchen).includes(id))
  return (
    <View role="alert" className="gap-2">
      <Notice kind="allergy" title={t(`add.fault.${fault.kind}`, words)}>
        {t(`add.faultDo.${fault.kind}`, words)}
      </Notice>
      {fault.kind === 'may' && (
        <View className="flex-row flex-wrap gap-2">
          {lead ? (
            <HoldButton
              kind="plain"
              label={t('add.leadTakesOn', { lead: lead.name })}
              detail={t('add.leadHold')}
              className="flex-1"
              onHeld={() => onAllowed(lead.id)}
            />
          ) : (
            <WhoButton />
          )}
        </View>
      )}
    </View>
  )
}
