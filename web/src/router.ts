import { createRouter, createWebHistory } from 'vue-router'

/** The views; `bench` fills the screen, without the rail. */
export const router = createRouter({
  history: createWebHistory('/'),
  /** Another page begins at its top, one that was left is found where it was; the same page stays where it is. */
  scrollBehavior: (to, from, saved) => saved ?? (to.path === from.path ? false : { top: 0 }),
  routes: [
    {
      path: '/',
      name: 'jobs',
      component: () => import('@/features/jobs/JobsView.vue'),
      meta: { title: 'Jobs' },
    },
    {
      path: '/new',
      name: 'start',
      component: () => import('@/features/start/StartView.vue'),
      meta: { title: 'New job' },
    },
    {
      path: '/jobs/:id(\\d+)',
      name: 'plan',
      component: () => import('@/features/plan/PlanView.vue'),
      props: (to) => ({ id: Number(to.params.id), part: Math.max(1, Number(to.query.part) || 1) }),
      meta: { title: 'Plan' },
    },
    {
      path: '/jobs/:id(\\d+)/bench',
      name: 'bench',
      component: () => import('@/features/bench/BenchView.vue'),
      props: (to) => ({ id: Number(to.params.id) }),
      meta: { title: 'Bench', bench: true },
    },
    {
      path: '/jobs/:id(\\d+)/batch',
      name: 'batch',
      component: () => import('@/features/batch/BatchView.vue'),
      props: (to) => ({ id: Number(to.params.id), part: Math.max(1, Number(to.query.part) || 1) }),
      meta: { title: 'Batch' },
    },
    {
      path: '/week',
      name: 'week',
      component: () => import('@/features/week/WeekView.vue'),
      meta: { title: 'This week' },
    },
    {
      path: '/identify',
      name: 'identify',
      component: () => import('@/features/identify/IdentifyView.vue'),
      meta: { title: 'Identify a thread' },
    },
    {
      path: '/threads',
      name: 'threads',
      component: () => import('@/features/threads/ThreadsView.vue'),
      meta: { title: 'Threads' },
    },
    {
      path: '/shop',
      name: 'shop',
      component: () => import('@/features/shop/ShopView.vue'),
      meta: { title: 'Shop' },
    },
    {
      path: '/holders',
      name: 'holders',
      component: () => import('@/features/holders/HoldersView.vue'),
      meta: { title: 'Design a holder' },
    },
    {
      path: '/gears',
      name: 'gears',
      component: () => import('@/features/gears/GearsView.vue'),
      meta: { title: 'Change gears' },
    },
    {
      path: '/log',
      name: 'log',
      component: () => import('@/features/log/LogView.vue'),
      meta: { title: 'Log' },
    },
    {
      path: '/log/lessons',
      name: 'lessons',
      component: () => import('@/features/log/LessonsView.vue'),
      meta: { title: 'Lessons learned' },
    },
    {
      path: '/upkeep',
      name: 'upkeep',
      component: () => import('@/features/upkeep/UpkeepView.vue'),
      meta: { title: 'Upkeep' },
    },
    {
      path: '/help',
      name: 'help',
      component: () => import('@/features/help/HelpView.vue'),
      meta: { title: 'Help' },
    },
    {
      // Where a code leads: a device that is known already has nothing to do there.
      path: '/pair',
      name: 'pair',
      component: () => import('@/features/upkeep/UpkeepView.vue'),
      meta: { title: 'Connect this device' },
    },
    {
      path: '/:rest(.*)',
      name: 'lost',
      component: () => import('@/features/shell/LostView.vue'),
      meta: { title: 'Page not found' },
    },
  ],
})

router.afterEach((to) => {
  document.title = `${String(to.meta.title ?? 'Conch')} · Conch`
})
