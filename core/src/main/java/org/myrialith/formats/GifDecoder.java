package org.myrialith.formats;

import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import javax.imageio.ImageIO;
import javax.imageio.ImageReader;
import javax.imageio.stream.ImageInputStream;
import javax.imageio.stream.MemoryCacheImageInputStream;

/**
 * Lays the pictures of a GIF over each other as their disposal methods say: 0 and 1 leave, 2 clears
 * the part to transparent, 3 brings back what was there before (GIF89a, 23). The platform's reader
 * decodes the parts.
 */
final class GifDecoder {
  private static final int CLEAR = 2;
  private static final int PREVIOUS = 3;

  private final GifOutline outline;
  private final int[] canvas;

  GifDecoder(GifOutline outline) {
    this.outline = outline;
    this.canvas = new int[outline.columns() * outline.rows()];
  }

  int decode(byte[] file, ImageFile.FrameSink sink) throws IOException, ImageRefused {
    ImageReader reader = ImageIO.getImageReadersByFormatName("gif").next();
    List<String> warnings = new ArrayList<>();
    try (ImageInputStream in = new MemoryCacheImageInputStream(new ByteArrayInputStream(file))) {
      reader.setInput(in, false, false);
      reader.addIIOReadWarningListener((source, warning) -> warnings.add(warning));
      for (int i = 0; i < outline.parts().size(); i++) {
        GifOutline.Part part = outline.parts().get(i);
        int[] before = part.disposal() == PREVIOUS ? canvas.clone() : null;
        lay(reader.read(i), part);
        if (!warnings.isEmpty()) {
          throw ImageFile.damaged(warnings.get(0));
        }
        if (!sink.take(
            new Raster(outline.columns(), outline.rows(), canvas.clone()), part.delayCentis())) {
          break;
        }
        dispose(part, before);
      }
    } finally {
      reader.dispose();
    }
    return outline.parts().size();
  }

  private void lay(BufferedImage picture, GifOutline.Part part) throws ImageRefused {
    if (picture.getWidth() != part.columns() || picture.getHeight() != part.rows()) {
      throw ImageFile.damaged("a part of another size than its header says");
    }
    int[] row = new int[part.columns()];
    for (int y = 0; y < part.rows(); y++) {
      picture.getRGB(0, y, part.columns(), 1, row, 0, part.columns());
      int at = (part.y() + y) * outline.columns() + part.x();
      for (int x = 0; x < row.length; x++) {
        if (row[x] >>> 24 != 0) {
          canvas[at + x] = row[x];
        }
      }
    }
  }

  private void dispose(GifOutline.Part part, int[] before) {
    if (part.disposal() == CLEAR) {
      for (int y = part.y(); y < part.y() + part.rows(); y++) {
        int at = y * outline.columns() + part.x();
        Arrays.fill(canvas, at, at + part.columns(), 0);
      }
    } else if (before != null) {
      System.arraycopy(before, 0, canvas, 0, canvas.length);
    }
  }
}
