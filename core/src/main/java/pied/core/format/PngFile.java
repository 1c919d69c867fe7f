package pied.core.format;

import java.awt.image.BufferedImage;
import java.io.IOException;
import java.io.OutputStream;
import java.util.Map;
import javax.imageio.IIOImage;
import javax.imageio.ImageIO;
import javax.imageio.ImageTypeSpecifier;
import javax.imageio.ImageWriter;
import javax.imageio.metadata.IIOMetadata;
import javax.imageio.metadata.IIOMetadataNode;
import javax.imageio.stream.ImageOutputStream;

/** Pictures as PNG (ISO/IEC 15948), said to be sRGB, with words in them. */
public final class PngFile {
  private static final String FORM = "javax_imageio_png_1.0";

  private PngFile() {}

  /**
   * Writes one.
   *
   * @param words by their keywords, 1 to 79 letters
   */
  public static void write(BufferedImage image, Map<String, String> words, OutputStream out)
      throws IOException {
    ImageWriter writer = ImageIO.getImageWritersByFormatName("png").next();
    IIOMetadata about =
        writer.getDefaultImageMetadata(
            ImageTypeSpecifier.createFromRenderedImage(image), writer.getDefaultWriteParam());
    IIOMetadataNode root = new IIOMetadataNode(FORM);
    IIOMetadataNode srgb = new IIOMetadataNode("sRGB");
    srgb.setAttribute("renderingIntent", "Perceptual");
    root.appendChild(srgb);
    IIOMetadataNode texts = new IIOMetadataNode("iTXt");
    words.forEach((keyword, text) -> texts.appendChild(entry(keyword, text)));
    root.appendChild(texts);
    about.mergeTree(FORM, root);
    try (ImageOutputStream to = ImageIO.createImageOutputStream(out)) {
      writer.setOutput(to);
      writer.write(new IIOImage(image, null, about));
    } finally {
      writer.dispose();
    }
  }

  private static IIOMetadataNode entry(String keyword, String text) {
    IIOMetadataNode e = new IIOMetadataNode("iTXtEntry");
    e.setAttribute("keyword", keyword);
    e.setAttribute("compressionFlag", "FALSE");
    e.setAttribute("compressionMethod", "0");
    e.setAttribute("languageTag", "en");
    e.setAttribute("translatedKeyword", "");
    e.setAttribute("text", text);
    return e;
  }
}
