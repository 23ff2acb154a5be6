package org.myrialith.firmware.pack;

import static org.myrialith.finding.Phrase.phrase;

import java.io.ByteArrayOutputStream;
import java.util.ArrayList;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import org.myrialith.firmware.target.CTable;

/**
 * Where the data of frames stands: in their order, in as many arrays as they need; a frame is never
 * parted.
 */
public final class FrameBanks {
  /** Most bytes of one array: the compiler for 8-bit cores takes 32 767. */
  static final int MOST_BYTES = 32_000;

  private final PackedClips packed;

  /** Bytes of each array. */
  private final List<Integer> sizes = new ArrayList<>();

  /** Array and place in it of the data of a frame. */
  private final Map<byte[], int[]> places = new IdentityHashMap<>();

  public FrameBanks(PackedClips packed) {
    this.packed = packed;
    packed.data().forEach(this::add);
    if (sizes.isEmpty()) {
      sizes.add(0);
    }
  }

  private void add(byte[] data) {
    if (sizes.isEmpty() || last() + data.length > MOST_BYTES) {
      sizes.add(0);
    }
    places.put(data, new int[] {sizes.size() - 1, last()});
    sizes.set(sizes.size() - 1, last() + data.length);
  }

  private int last() {
    return sizes.get(sizes.size() - 1);
  }

  /** Returns whether frames need more than one array. */
  public static boolean several(PackedClips packed) {
    return packed.dataBytes() > MOST_BYTES;
  }

  /** Returns how many there are. */
  public int count() {
    return sizes.size();
  }

  /** Returns the number of the array that has the data of a frame. */
  public int bank(byte[] data) {
    return places.get(data)[0];
  }

  /** Returns where it begins in it. */
  public int offset(byte[] data) {
    return places.get(data)[1];
  }

  /**
   * Returns the arrays, and how the player comes to each frame.
   *
   * @param step bytes that offsets of a byte each are counted by; 0 where they are two bytes
   */
  public String text(int step) {
    StringBuilder out = new StringBuilder();
    if (sizes.size() == 1) {
      out.append(array("frame_data", 0));
      out.append(
          """
          typedef const uint8_t *data_at_t;
          #define READ_DATA(at) READ_BYTE(at)
          """);
      out.append(
          step == 0
              ? "#define FRAME_AT(frame) (frame_data + READ_WORD(&frame_offset[frame]))\n"
              : phrase(
                  "#define FRAME_AT(frame) (frame_data + (uint16_t)(READ_BYTE(&frame_offset[frame]) * %du))\n",
                  step));
      out.append(
          """
          #define STREAM_AT(number) (frame_data + READ_WORD(&stream_offset[number]))

          """);
      return out.toString();
    }
    StringBuilder cases = new StringBuilder();
    for (int b = 0; b < sizes.size(); b++) {
      out.append(array("frame_data_" + b, b));
      cases.append(
          b + 1 < sizes.size()
              ? phrase("    case %d:\n      return BANK_AT(frame_data_%d);\n", b, b)
              : phrase("    default:\n      return BANK_AT(frame_data_%d);\n", b));
    }
    out.append(
            """
            #ifdef __AVR__
            typedef uint_farptr_t data_at_t;
            #define READ_DATA(at) pgm_read_byte_far(at)
            #define BANK_AT(data) pgm_get_far_address(data)
            #else
            typedef const uint8_t *data_at_t;
            #define READ_DATA(at) (*(at))
            #define BANK_AT(data) (data)
            #endif

            static data_at_t bank_at(uint8_t bank) {
              switch (bank) {
            """)
        .append(cases)
        .append(
            """
              }
            }

            #define FRAME_AT(frame) (bank_at(READ_BYTE(&frame_bank[frame])) + READ_WORD(&frame_offset[frame]))
            #define STREAM_AT(number) (bank_at(READ_BYTE(&stream_bank[number])) + READ_WORD(&stream_offset[number]))

            """);
    return out.toString();
  }

  private String array(String name, int number) {
    ByteArrayOutputStream array = new ByteArrayOutputStream();
    packed.data().filter(data -> bank(data) == number).forEach(array::writeBytes);
    if (array.size() == 0) {
      array.write(0); // all is worked out; an array is never empty
    }
    return CTable.text("uint8_t", name, "PROGMEM", CTable.bytes(array.toByteArray()));
  }
}
