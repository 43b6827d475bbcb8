import { createRouter, createWebHistory } from 'vue-router'
import { STATIONS } from './workspace/stations.ts'
import ShelfView from './shelf/ShelfView.vue'

export const router = createRouter({
  history: createWebHistory(),
  routes: [
    { path: '/', name: 'shelf', component: ShelfView },
    {
      path: `/basins/:id/:station(${STATIONS.join('|')})?`,
      name: 'workspace',
      component: () => import('./workspace/WorkspaceView.vue'),
      props: (route) => ({
        id: String(route.params.id),
        station: String(route.params.station || 'return'),
      }),
    },
    {
      path: '/basins/:id/start',
      name: 'start',
      component: () => import('./start/StartView.vue'),
      props: true,
    },
    {
      path: '/basins/:id/pumps',
      name: 'pumps',
      component: () => import('./pumps/PumpsView.vue'),
      props: true,
    },
    {
      path: '/basins/:id/drills',
      name: 'drills',
      component: () => import('./drills/DrillsView.vue'),
      props: true,
    },
    {
      path: '/basins/:id/currents',
      name: 'currents',
      component: () => import('./currents/CurrentsView.vue'),
      props: true,
    },
    {
      path: '/basins/:id/room',
      name: 'room',
      component: () => import('./room/RoomView.vue'),
      props: true,
    },
    {
      path: '/basins/:id/size',
      name: 'size',
      component: () => import('./size/SizeView.vue'),
      props: true,
    },
    {
      path: '/basins/:id/buy',
      name: 'buy',
      component: () => import('./building/BuyView.vue'),
      props: true,
    },
    {
      path: '/basins/:id/cuts',
      name: 'cuts',
      component: () => import('./building/CutsView.vue'),
      props: true,
    },
    {
      path: '/basins/:id/order',
      name: 'order',
      component: () => import('./building/OrderView.vue'),
      props: true,
    },
    {
      path: '/basins/:id/comes-apart',
      name: 'comes-apart',
      component: () => import('./building/ApartView.vue'),
      props: true,
    },
    {
      path: '/basins/:id/holes',
      name: 'holes',
      component: () => import('./building/HolesView.vue'),
      props: true,
    },
    {
      path: '/basins/:id/panels',
      name: 'panels',
      component: () => import('./building/PanelsView.vue'),
      props: true,
    },
    {
      path: '/basins/:id/before-water',
      name: 'before-water',
      component: () => import('./building/WaterView.vue'),
      props: true,
    },
    {
      path: '/parts',
      name: 'parts',
      component: () => import('./parts/PartsView.vue'),
      props: (route) => ({ from: typeof route.query.from === 'string' ? route.query.from : '' }),
    },
    {
      path: '/safekeeping',
      name: 'safekeeping',
      component: () => import('./safekeeping/SafekeepingView.vue'),
    },
    { path: '/:nowhere(.*)*', name: 'nowhere', component: () => import('./shell/NowhereView.vue') },
  ],
})
