package org.myrialith.gadget.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.myrialith.demo.DemoGadgets;
import org.myrialith.formats.Raster24;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.layout.LayoutPlan;
import org.myrialith.layout.Position;

/** The show drawn as it is emitted: each emitter in its place, in the colour that it has. */
class SeenPicturesTest {
  @Test
  void everyEmitterStandsInItsPlaceInItsColour() {
    GadgetPlan plan = GadgetPlan.of(DemoGadgets.tideLantern());
    List<Raster24> pictures = new SeenPictures(plan, 640).all();
    assertThat(pictures).hasSameSizeAs(plan.show().moments());
    LayoutPlan.Box box = plan.layout().box();
    double edge = 0.06 * Math.max(box.widthMm(), box.heightMm());
    double scale = 640 / (box.widthMm() + 2 * edge);
    for (int m = 0; m < pictures.size(); m += 5) {
      Raster24 picture = pictures.get(m);
      byte[] light = plan.seen(m);
      assertThat(picture.holdMillis()).isEqualTo(plan.show().moments().get(m).holdMillis());
      for (int e = 0; e < plan.layout().emitters().size(); e++) {
        Position at = plan.layout().emitters().get(e).position();
        int x = (int) ((at.xMm() - box.leftMm() + edge) * scale);
        int y = (int) ((at.yMm() - box.topMm() + edge) * scale);
        int red = light[3 * e] & 0xff;
        int green = light[3 * e + 1] & 0xff;
        int blue = light[3 * e + 2] & 0xff;
        if (Math.max(red, Math.max(green, blue)) > 60) {
          int dot = 3 * (y * 640 + x);
          assertThat(picture.rgb()[dot] & 0xff).as("emitter %d", e).isEqualTo(red);
          assertThat(picture.rgb()[dot + 2] & 0xff).isEqualTo(blue);
        }
      }
    }
  }

  @Test
  void whatIsTooMuchOrNothingIsRefused() {
    GadgetPlan plan = GadgetPlan.of(DemoGadgets.tideLantern());
    assertThatThrownBy(() -> new SeenPictures(plan, 5)).hasMessageContaining("width");
    GadgetPlan blank = GadgetPlan.of(Gadget.blank("Empty"));
    assertThatThrownBy(() -> new SeenPictures(blank, 100).all()).hasMessageContaining("width");
  }
}
