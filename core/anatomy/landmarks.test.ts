import { landmarks } from "./landmarks";
import { depthOf, layerKeys, layerName, layers } from "./layers";

describe("layers and landmarks", () => {
  it("go from the surface to the joint", () => {
    expect(layers.map((layer) => layer.depth)).toEqual([1, 2, 3, 4, 5]);
    for (const key of layerKeys) expect(layers[depthOf(key) - 1]!.name).toBe(layerName(key));
  });

  // Wu et al. 2002, 2005 and ISO 7250-1 name them; heights follow Drillis & Contini's fractions
  it("order the landmarks from the ear to the ankle, with an error for each", () => {
    const height = (key: keyof typeof landmarks) => landmarks[key].height;
    expect(height("tragus")).toBeGreaterThan(height("c7"));
    expect(height("c7")).toBeGreaterThan(height("asis"));
    expect(height("asis")).toBeGreaterThan(height("patella"));
    expect(height("patella")).toBeGreaterThan(height("ankle"));
    expect(height("acromion")).toBeCloseTo(0.818, 1);
    for (const landmark of Object.values(landmarks)) {
      expect(landmark.placing).toBeGreaterThan(0);
      expect(landmark.depthSd).toBeGreaterThan(0);
      if (!landmark.paired) expect(landmark.lateral).toBe(0);
    }
  });
});
