export { LightPage as default } from "../light-page";
