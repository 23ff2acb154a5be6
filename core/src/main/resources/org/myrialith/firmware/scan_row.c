          {
            uint8_t at;
            for (at = 0; at < @ROWBYTES@u; at++) {
              slot->row[at] = pgm_read_byte(&on_@N@[row][at]);
            }
          }
