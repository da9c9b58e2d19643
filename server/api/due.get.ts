import { askedDue } from '../utils/asked-due'
import { comingDue } from '../services/due-book'
import { useShopApp } from '../utils/app'
import { api } from '../utils/problem'

/** What comes due up to a day, with the driving between its roads. */
export default api('look', async (event) => comingDue(await useShopApp(), askedDue(event)))
