import { onMounted, ref } from 'vue'
import type { CustomerRow } from '~~/shared/customers'
import { api } from '../utils/api'

/** The shop’s owners, for a list to choose from; none while nobody answers. */
export function useCustomers() {
  const customers = ref<CustomerRow[]>([])
  onMounted(async () => {
    customers.value = await api('GET /api/customers').catch(() => [])
  })
  return customers
}
