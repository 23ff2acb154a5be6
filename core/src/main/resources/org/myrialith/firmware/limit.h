/* How all levels are dimmed by one factor. */

/* Scales all levels by factor / 65536; what is left over goes to the same channel of the next pixel, so that nothing is lost. */
static void scale(uint16_t factor) {
  uint8_t *at = chain;
  uint8_t line;
  for (line = 0; line < LINES; line++) {
    uint16_t carry[MOST_CHANNELS] = {0};
    uint16_t left = READ_WORD(&line_bytes[line]);
    uint8_t channels = (uint8_t)READ_WORD(&line_channels[line]);
    uint8_t channel = 0;
#ifdef DEEP
    if (channels && READ_BYTE(&line_deep[line])) { /* two bytes a level, the high one first; all share what is left over */
      uint16_t over = 0;
      for (; left; left = (uint16_t)(left - 2u)) {
        uint32_t all = (uint32_t)(uint16_t)((uint16_t)(at[0] << 8) | at[1]) * factor + over;
        *at++ = (uint8_t)(all >> 24);
        *at++ = (uint8_t)(all >> 16);
        over = (uint16_t)all;
      }
    }
#endif
#ifdef PASSED_OVER
    if (channels == 0) { /* can't be dimmed, or has a supply of its own */
      at += left;
      left = 0;
    }
#endif
    while (left--) {
      uint32_t all = (uint32_t)*at * factor + carry[channel];
      *at++ = (uint8_t)(all >> 16);
      carry[channel] = (uint16_t)all;
      if (++channel == channels) {
        channel = 0;
      }
    }
  }
}
