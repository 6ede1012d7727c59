import { index, layout, prefix, route, type RouteConfig } from "@react-router/dev/routes";

export default [
  route("sign-in", "routes/sign-in/sign-in.tsx"),
  layout("routes/frame/frame.tsx", [
    index("routes/today/today.tsx"),
    route("clients", "routes/clients/clients.tsx"),
    route("clients/new", "routes/clients/new-client.tsx"),
    route("library", "routes/library/library.tsx"),
    route("calendar", "routes/calendar/calendar.tsx"),
    route("practice", "routes/practice/practice.tsx"),
    ...prefix("practice/repeatability", [
      index("routes/practice/repeatability/repeatability.tsx"),
      route(":studyId", "routes/practice/repeatability/mark.tsx"),
      route(":studyId/picture/:item", "routes/practice/repeatability/picture.ts"),
    ]),
    route("account", "routes/account/account.ts"),
    route("clients/:clientId", "routes/client/client.tsx", [
      index("routes/client/overview/overview.tsx"),
      route("edit", "routes/client/edit/edit.tsx"),
      route("intake", "routes/client/intake/history/history.tsx"),
      route("intake/screening", "routes/client/intake/screening/screening.tsx"),
      route("intake/consent", "routes/client/intake/consent/consent.tsx"),
      route("intake/wishes", "routes/client/intake/wishes/wishes.tsx"),
      route("intake/scales", "routes/client/intake/scales/scales.tsx"),
      route("assess/stand", "routes/client/stand/stand.tsx"),
      route("assess/touch", "routes/client/touch/touch.tsx"),
      route("assess/scars", "routes/client/scars/scars.tsx"),
      route("assess/listen", "routes/client/listen/listen.tsx"),
      route("path", "routes/client/path/path.tsx"),
      route("sessions", "routes/client/sessions/sessions.tsx"),
      route("change", "routes/client/change/change.tsx"),
    ]),
    route("clients/:clientId/cautions", "routes/client/cautions/cautions.ts"),
    ...prefix("clients/:clientId/photos", [
      route("upload", "routes/client/stand/upload.ts"),
      route(":photoId", "routes/client/stand/photo.ts"),
    ]),
  ]),
  route("run/:visitId", "routes/run/run.tsx"),
  route("run/:visitId/events", "routes/run/events.ts"),
  route("handed/:handoverId", "routes/handed/handed.tsx"),
  route("*", "routes/missing.tsx"),
] satisfies RouteConfig;
