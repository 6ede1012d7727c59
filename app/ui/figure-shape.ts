import { createContext } from "react";
import { middleShape, type Shape } from "~core/anatomy/shape";

/** How the client is built whom every figure below is about. */
export const FigureShape = createContext<Shape>(middleShape);
