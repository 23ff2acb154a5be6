/* The effects of effects.h: which colour each pixel has in a frame. Portable C99, whole numbers only, so that it is the same picture
 * everywhere. A program is some layers over each other, for what hangs on one stretch of a line. A turn is 65 536 parts of its loop.
 */
#include "effects.h"

#define FULL 255u

/* What several effects share stays one piece: small controllers have little room. */
#if defined(__GNUC__) && !defined(__clang__)
#define APART __attribute__((noinline, noclone))
#else
#define APART
#endif

static uint8_t program;
static uint16_t turn;
static uint16_t index_at;
static int16_t x_at;
static int16_t y_at;
static int16_t z_at;
static int16_t width;
static int16_t height;
static int16_t depth;

#ifdef SHARED
static uint32_t shared[SHARED]; /* what is the same for all pixels of a frame, of each layer of a program */
#endif

#ifdef FLATS
static uint8_t flat; /* whether all pixels have one colour, or all but those that stay dark, and which */
static uint32_t flat_colour;
#endif

#ifdef LIFE
static uint8_t cells[CELL_BYTES];           /* of each game: one more than the generation it has, 0 for none; then a bit a cell */
static uint8_t next_cells[MOST_CELL_BYTES]; /* where the next generation is made */
static uint16_t frame_at;
static uint16_t cell_at;
#endif

#ifdef MOVERS
static int16_t mover_x[MOVERS];
static int16_t mover_y[MOVERS];
#ifdef FIREFLIES
static int16_t mover_z[MOVERS];
static uint8_t mover_glow[MOVERS];
#endif
static uint8_t movers;
#endif

/* sums */

/* of up to 65 152 */
static uint8_t by_full(uint16_t product) { return (uint8_t)((uint16_t)(product + 1u + (product >> 8)) >> 8); }

#ifdef SHARES

APART static uint8_t share_of(uint8_t whole, uint8_t share) { return by_full((uint16_t)((uint16_t)whole * share)); }

#endif

APART static uint8_t mixed(uint8_t from, uint8_t to, uint8_t share) {
  if (to >= from) {
    return (uint8_t)(from + by_full((uint16_t)((uint16_t)(to - from) * share + 127u)));
  }
  return (uint8_t)(from - by_full((uint16_t)((uint16_t)(from - to) * share + 127u)));
}

APART static uint32_t tone(uint8_t red, uint8_t green, uint8_t blue) {
  return (uint32_t)red << 16 | (uint16_t)((uint16_t)(green << 8) | blue);
}

APART static uint32_t mix(uint32_t from, uint32_t to, uint8_t share) {
  return tone(mixed((uint8_t)(from >> 16), (uint8_t)(to >> 16), share),
              mixed((uint8_t)(from >> 8), (uint8_t)(to >> 8), share), mixed((uint8_t)from, (uint8_t)to, share));
}

#ifdef WAVES

static uint8_t raised(uint16_t at) { return READ_BYTE(&raised_cosine[at >> 8]); }

#endif

#ifdef SINES

APART static int16_t sine(uint16_t at) { return (int16_t)(2 * raised((uint16_t)(at + 0x4000u)) - 255); }

#endif

#ifdef DIRECTIONS

/* How far a place is along a direction, whose cosine and sine come first. */
APART static int16_t along(int16_t cosine, int16_t sine_of, int16_t x, int16_t y) {
  return (int16_t)(((int32_t)x * cosine + (int32_t)y * sine_of) / 255);
}

#endif

#ifdef CHANCES

/* What looks like chance and is a hash. */
APART static uint32_t bits(uint16_t seed, uint16_t a, uint16_t b) {
  uint32_t hash = ((uint32_t)seed * 0x9e3779b9u) ^ ((uint32_t)a * 0x85ebca6bu) ^ ((uint32_t)b * 0xc2b2ae35u);
  hash ^= hash >> 16;
  hash *= 0x7feb352du;
  hash ^= hash >> 15;
  hash *= 0x846ca68bu;
  return hash ^ hash >> 16;
}

#endif

#ifdef PICKS

APART static uint16_t below(uint16_t limit, uint16_t seed, uint16_t a, uint16_t b) {
  return (uint16_t)((bits(seed, a, b) >> 16) * limit >> 16);
}

#endif

#ifdef COURSES

APART static uint8_t between(uint8_t a, uint8_t b, uint8_t part) {
  uint8_t share = READ_BYTE(&raised_cosine[part >> 1]);
  return (uint8_t)((uint16_t)(a * (256u - share) + (uint16_t)b * share) >> 8);
}

static uint8_t knot_of(uint16_t seed, uint16_t row, uint16_t knot) { return (uint8_t)(bits(seed, row, knot) >> 24); }

/* A smooth course between random knots, 256 parts from one to the next. */
APART static uint8_t course(uint16_t seed, uint16_t row, uint16_t at, uint8_t knots) {
  uint8_t knot = (uint8_t)((uint8_t)(at >> 8) % knots);
  uint8_t next = (uint8_t)(knot + 1u == knots ? 0u : knot + 1u);
  return between(knot_of(seed, row, knot), knot_of(seed, row, next), (uint8_t)at);
}

#endif

#ifdef WAYS

/* Which way something runs: along x, y, z or the data, and whether from the other end. */
APART static int16_t along_way(uint8_t way, int16_t length, uint16_t count) {
  int16_t at = way < 2u ? x_at : way < 4u ? y_at : z_at;
  if (way == 6u) {
    return (int16_t)((uint32_t)index_at * 1023u / (count > 1u ? count - 1u : 1u));
  }
  /* to the right, down and towards the viewer as it is */
  return way == 0u || way == 2u || way == 4u ? at : (int16_t)(length - at);
}

#endif

#define NUMBER(n) READ_LONG(number + (n))
#define WORD(n) ((uint16_t)READ_LONG(number + (n)))
#define WHOLE(n) ((int16_t)READ_LONG(number + (n)))
#define SMALL(n) ((uint8_t)READ_LONG(number + (n)))

/* what all pixels of a frame share */

#ifdef CANDLE

static uint32_t candle(const uint32_t *number) {
  uint32_t colour = NUMBER(0);
  uint8_t times = SMALL(2);
  uint16_t at = (uint16_t)((turn >> 8) * times);
  uint8_t slow = course(WORD(3), 0, at, times);
  uint8_t quick = course(WORD(3), 1, (uint16_t)(at * 3u), (uint8_t)(times * 3u));
  uint8_t down = share_of((uint8_t)((slow * 2u + quick) / 3u), SMALL(1));
  uint32_t redder = tone((uint8_t)(colour >> 16), (uint8_t)((uint8_t)(colour >> 8) * 3u / 4u), (uint8_t)((uint8_t)colour / 2u));
  return mix(0, mix(colour, redder, down), (uint8_t)(FULL - down));
}

#endif

#ifdef LIGHTNING

static const uint8_t flashes[7] TABLE = {255, 120, 20, 220, 90, 40, 15};

static uint32_t lightning(const uint32_t *number) {
  uint8_t times = SMALL(2);
  uint8_t most = 0;
  uint8_t strike;
  for (strike = 0; strike < times; strike++) {
    uint8_t flash = (uint8_t)((uint16_t)(turn - below(0xffffu, WORD(3), strike, 0)) >> 9);
    if (flash < 7u) {
      uint8_t level = share_of(READ_BYTE(&flashes[flash]), (uint8_t)(160u + below(96, WORD(3), strike, 1)));
      most = level > most ? level : most;
    }
  }
  return mix(NUMBER(1), NUMBER(0), most);
}

#endif

#ifdef BREATHING

static uint32_t breathing(const uint32_t *number) {
  uint8_t low = SMALL(1);
  return mix(0, NUMBER(0), (uint8_t)(low + share_of((uint8_t)(FULL - low), raised((uint16_t)(turn * SMALL(2))))));
}

#endif

#ifdef HEARTBEAT

APART static uint8_t beat(uint16_t since) {
  uint32_t fallen;
  if (since < 4096u) {
    return (uint8_t)((uint32_t)since * FULL >> 12);
  }
  fallen = (uint32_t)(since - 4096u) * FULL / 13107u;
  return (uint8_t)(fallen > FULL ? 0 : FULL - fallen);
}

static uint32_t heartbeat(const uint32_t *number) {
  uint8_t low = SMALL(1);
  uint16_t at = (uint16_t)(turn * SMALL(2));
  uint8_t first = beat(at);
  uint8_t second = (uint8_t)(beat((uint16_t)(at - 0x4000u)) * 5u / 8u);
  return mix(0, NUMBER(0), (uint8_t)(low + share_of((uint8_t)(FULL - low), first > second ? first : second)));
}

#endif

#ifdef FALLING

APART static uint16_t own_time(const uint32_t *number, uint8_t mover) {
  uint16_t rounds = (uint16_t)(SMALL(4) + (bits(WORD(5), mover, 2) & 1u));
  return (uint16_t)(turn * rounds + below(0xffffu, WORD(5), mover, 1));
}

#endif

#ifdef BUBBLES

static void bubbles(const uint32_t *number) {
  uint8_t left = SMALL(2);
  int16_t reach = WHOLE(3);
  uint8_t bubble;
  for (bubble = 0; bubble < left; bubble++, movers++) {
    PASS();
    uint16_t at = own_time(number, bubble);
    mover_y[movers] = (int16_t)(height + reach - (int16_t)((uint32_t)at * (uint16_t)(height + 2 * reach) >> 16));
    mover_x[movers] = (int16_t)(below((uint16_t)(width + 1), WORD(5), bubble, 0) +
                                (uint16_t)((int32_t)sine((uint16_t)(at * 2u)) * reach >> 10));
  }
}

#endif

#ifdef RAIN

static void rain(const uint32_t *number) {
  uint8_t left = SMALL(2);
  uint8_t drop;
  for (drop = 0; drop < left; drop++, movers++) {
    PASS();
    uint16_t at = own_time(number, drop);
    mover_y[movers] = (int16_t)((uint32_t)at * (uint16_t)(height + WHOLE(3)) >> 16);
    mover_x[movers] = (int16_t)below((uint16_t)(width + 1), WORD(5), drop, 0);
  }
}

#endif

#ifdef FIREFLIES

APART static int16_t passing(uint16_t seed, uint8_t row, uint16_t way, int16_t length) {
  return (int16_t)((int32_t)course(seed, row, way, 5) * length / 255);
}

static void fireflies(const uint32_t *number) {
  uint16_t way = (uint16_t)((turn >> 8) * 5u);
  uint8_t left = SMALL(2);
  uint8_t fly;
  for (fly = 0; fly < left; fly++, movers++) {
    PASS();
    uint8_t light = raised((uint16_t)(turn * SMALL(4) + below(0xffffu, WORD(5), fly, 0)));
    mover_glow[movers] = share_of(light, light);
    mover_x[movers] = passing(WORD(5), (uint8_t)(3u * fly), way, width);
    mover_y[movers] = passing(WORD(5), (uint8_t)(3u * fly + 1u), way, height);
    mover_z[movers] = passing(WORD(5), (uint8_t)(3u * fly + 2u), way, depth);
  }
}

#endif

#ifdef LIFE

static const uint8_t cell_masks[8] TABLE = {1, 2, 4, 8, 16, 32, 64, 128};

APART static uint8_t lives(const uint8_t *grid, uint16_t cell) {
  return (uint8_t)(grid[cell >> 3] & READ_BYTE(&cell_masks[cell & 7u]) ? 1u : 0u);
}

static void put_cell(uint8_t *grid, uint16_t cell, uint8_t alive) {
  uint8_t mask = READ_BYTE(&cell_masks[cell & 7u]);
  uint8_t *at = grid + (cell >> 3);
  *at = (uint8_t)(alive ? *at | mask : *at & (uint8_t)~mask);
  if (!(cell & 15u)) {
    PASS();
  }
}

/* the next generation of all cells, round the edges */
static void live_on(uint8_t *grid, uint16_t columns, uint16_t rows) {
  uint16_t own = 0;
  uint16_t above = (uint16_t)(columns * (rows - 1u));
  uint16_t cell;
  uint16_t row;
  for (row = 0; row < rows; row++) {
    uint16_t beneath = (uint16_t)(row + 1u == rows ? 0u : own + columns);
    uint16_t column = (uint16_t)(columns - 1u);
    uint8_t left;
    uint8_t middle = (uint8_t)(lives(grid, (uint16_t)(above + column)) + lives(grid, (uint16_t)(own + column)) +
                               lives(grid, (uint16_t)(beneath + column)));
    uint8_t right = (uint8_t)(lives(grid, above) + lives(grid, own) + lives(grid, beneath));
    for (column = 0; column < columns; column++) {
      uint16_t beside = (uint16_t)(column + 1u == columns ? 0u : column + 1u);
      uint8_t alive = lives(grid, (uint16_t)(own + column));
      uint8_t around;
      left = middle;
      middle = right;
      right = (uint8_t)(lives(grid, (uint16_t)(above + beside)) + lives(grid, (uint16_t)(own + beside)) +
                        lives(grid, (uint16_t)(beneath + beside)));
      around = (uint8_t)(left + middle + right - alive);
      put_cell(next_cells, (uint16_t)(own + column), (uint8_t)(around == 3u || (around == 2u && alive)));
    }
    above = own;
    own = (uint16_t)(own + columns);
  }
  for (cell = 0; cell < (uint16_t)((own + 7u) >> 3); cell++) {
    grid[cell] = next_cells[cell];
  }
}

/* Goes to the generation of the frame, and tells where its cells are. */
static uint16_t life(const uint32_t *number) {
  uint8_t *own = cells + WORD(6);
  uint16_t columns = WORD(4);
  uint16_t rows = WORD(5);
  uint16_t has = (uint16_t)((uint16_t)(own[1] << 8) | own[0]);
  if (has == 0 || has > frame_at + 1u) {
    uint16_t count = (uint16_t)(columns * rows);
    uint16_t cell;
    for (cell = 0; cell < count; cell++) {
      put_cell(own + 2, cell, (uint8_t)(below(100, WORD(3), cell, 0) < WORD(2)));
    }
    has = 1;
  }
  for (; has <= frame_at; has++) {
    live_on(own + 2, columns, rows);
  }
  own[0] = (uint8_t)has;
  own[1] = (uint8_t)(has >> 8);
  return (uint16_t)(WORD(6) + 2u);
}

#endif

#ifdef SHARED

/* Works out what a layer has in common for all pixels. */
static uint32_t common(uint8_t kind, const uint32_t *number) {
  switch (kind) {
#ifdef CANDLE
    case IS_CANDLE:
      return candle(number);
#endif
#ifdef LIGHTNING
    case IS_LIGHTNING:
      return lightning(number);
#endif
#ifdef BREATHING
    case IS_BREATHING:
      return breathing(number);
#endif
#ifdef HEARTBEAT
    case IS_HEARTBEAT:
      return heartbeat(number);
#endif
#ifdef MOVERS
    case IS_BUBBLES:
    case IS_RAIN:
    case IS_FIREFLIES: {
      uint8_t first = movers;
#ifdef BUBBLES
      if (kind == IS_BUBBLES) {
        bubbles(number);
      }
#endif
#ifdef RAIN
      if (kind == IS_RAIN) {
        rain(number);
      }
#endif
#ifdef FIREFLIES
      if (kind == IS_FIREFLIES) {
        fireflies(number);
      }
#endif
      return first;
    }
#endif
#ifdef LIFE
    case IS_LIFE:
      return life(number);
#endif
#ifdef CHASE
    case IS_CHASE: /* where the first one is, in 256ths of a place */
      return ((uint32_t)turn * SMALL(4) * WORD(2) >> 8) % ((uint32_t)WORD(2) << 8);
#endif
#ifdef SWEEP
    case IS_SWEEP: /* where the middle is, from half of it outside */
      return (uint32_t)(uint16_t)(turn * SMALL(5)) * (uint16_t)(WORD(3) + 2u * WORD(4)) >> 16;
#endif
#ifdef FILL
    case IS_FILL: { /* how far it is */
      uint16_t at = (uint16_t)(turn * SMALL(5));
      return (uint32_t)(at & 0x7fffu) * (uint16_t)(WORD(3) + 1u) >> 15;
    }
#endif
#ifdef ARROWS
    case IS_ARROWS: /* how far the first one is */
      return (uint32_t)(uint16_t)(turn * SMALL(5)) * WORD(4) >> 16;
#endif
    default:
      return 0;
  }
}

#endif

/* what each pixel shows */

#ifdef EMBER

static uint32_t ember(const uint32_t *number) {
  uint8_t times = SMALL(3);
  uint16_t rising = (uint16_t)(((turn >> 8) * times + (uint16_t)y_at) % ((uint16_t)times << 8));
  uint16_t column = (uint16_t)x_at >> 8;
  uint8_t glow = between(course(WORD(4), column, rising, times), course(WORD(4), (uint16_t)(column + 1u), rising, times), (uint8_t)x_at);
  int32_t left = glow + 140 - (int32_t)(height - y_at) * 395 / WHOLE(2);
  uint8_t heat = (uint8_t)(left < 0 ? 0 : left > 255 ? 255 : left);
  return heat < 128u ? mix(0, NUMBER(0), (uint8_t)(2u * heat)) : mix(NUMBER(0), NUMBER(1), (uint8_t)(2u * heat - FULL));
}

#endif

#ifdef SPARKLE

static uint32_t sparkle(const uint32_t *number) {
  uint8_t times = SMALL(3);
  uint32_t at = (uint32_t)turn * times + below(0xffffu, WORD(4), index_at, 0);
  uint8_t chance = (uint8_t)((uint8_t)(at >> 16) % times);
  uint16_t part = (uint16_t)((uint16_t)at >> 7);
  if (below(100, WORD(4), index_at, (uint16_t)(chance + 1u)) >= WORD(2)) {
    return NUMBER(1);
  }
  return mix(NUMBER(1), NUMBER(0), (uint8_t)(part < 256u ? part : 511u - part));
}

#endif

#ifdef CHASE

static uint32_t chase(const uint32_t *number, uint32_t head) {
  uint32_t period = (uint32_t)WORD(2) << 8;
  uint32_t tail = (uint32_t)WORD(3) << 8;
  uint32_t own = ((uint32_t)index_at << 8) % period;
  uint32_t behind = head >= own ? head - own : head + period - own;
  if (behind >= tail) {
    return NUMBER(1);
  }
  return mix(NUMBER(1), NUMBER(0), (uint8_t)(FULL - behind * FULL / tail));
}

#endif

#ifdef PHASES

/* Where a place is on waves that run across, in parts of a turn. */
APART static uint16_t phase(const uint32_t *number) {
  return (uint16_t)((uint32_t)along(WHOLE(0), WHOLE(1), x_at, y_at) * (uint32_t)(SMALL(2) * 64u)) - (uint16_t)(turn * SMALL(3));
}

#endif

#ifdef HUES

APART static uint32_t hue(uint8_t hue) {
  uint8_t sixth = (uint8_t)(hue / 43u);
  uint8_t up = (uint8_t)((uint16_t)(hue % 43u) * FULL / 42u);
  switch (sixth) {
    case 0:
      return tone(FULL, up, 0);
    case 1:
      return tone((uint8_t)(FULL - up), FULL, 0);
    case 2:
      return tone(0, FULL, up);
    case 3:
      return tone(0, (uint8_t)(FULL - up), FULL);
    case 4:
      return tone(up, 0, FULL);
    default:
      return tone(FULL, 0, (uint8_t)(FULL - up));
  }
}

#endif

#ifdef PLASMA

static uint32_t plasma(const uint32_t *number) {
  uint16_t unit = (uint16_t)(SMALL(0) * 64u);
  uint16_t flows = (uint16_t)(turn * SMALL(2));
  uint32_t across = (uint32_t)(uint16_t)(x_at + y_at + z_at) * unit >> 1;
  int16_t sum = (int16_t)(sine((uint16_t)((uint32_t)(uint16_t)x_at * unit + flows)) +
                          sine((uint16_t)((uint32_t)(uint16_t)y_at * unit - flows)));
  sum = (int16_t)(sum + sine((uint16_t)(across + 2u * flows)));
  return mix(0, hue((uint8_t)(sum / 4 + (flows >> 8))), SMALL(1));
}

#endif

#ifdef RIPPLES

/* the largest whole number whose square is no more */
APART static uint16_t root(uint32_t square) {
  uint32_t found = 0;
  uint32_t bit = (uint32_t)1 << 22;
  while (bit > square) {
    bit >>= 2;
  }
  while (bit) {
    if (square >= found + bit) {
      square -= found + bit;
      found = (found >> 1) + bit;
    } else {
      found >>= 1;
    }
    bit >>= 2;
  }
  return (uint16_t)found;
}

APART static uint32_t squared(int16_t number) { return (uint32_t)((int32_t)number * number); }

static uint32_t ripples(const uint32_t *number) {
  uint16_t away = root(squared((int16_t)(x_at - WHOLE(2))) + squared((int16_t)(y_at - WHOLE(3))) + squared((int16_t)(z_at - WHOLE(4))));
  uint16_t at = (uint16_t)((uint32_t)away * (uint32_t)(SMALL(5) * 64u) - (uint32_t)turn * SMALL(6));
  return mix(NUMBER(1), NUMBER(0), raised(at));
}

#endif

#ifdef SWEEP

static uint32_t sweep(const uint32_t *number, uint16_t middle) {
  int16_t wide = WHOLE(4);
  int16_t off = (int16_t)(along_way(SMALL(2), WHOLE(3), WORD(6)) - ((int16_t)middle - wide));
  if (off < 0) {
    off = (int16_t)-off;
  }
  if (off >= wide) {
    return NUMBER(1);
  }
  return mix(NUMBER(1), NUMBER(0), (uint8_t)(FULL - (uint32_t)(uint16_t)off * FULL / (uint16_t)wide));
}

#endif

#ifdef FILL

static uint32_t fill(const uint32_t *number, int16_t front) {
  int16_t length = WHOLE(3);
  int16_t far = along_way(SMALL(2), length, WORD(6));
  uint8_t lit;
  if ((uint16_t)(turn * SMALL(5)) < 0x8000u) {
    lit = far <= front;
  } else if (SMALL(4)) {
    lit = far <= length - front;
  } else {
    lit = far > front;
  }
  return lit ? NUMBER(0) : NUMBER(1);
}

#endif

#ifdef ARROWS

static uint32_t arrows(const uint32_t *number, int16_t on) {
  int16_t x = (int16_t)(x_at - width / 2);
  int16_t y = (int16_t)(y_at - height / 2);
  int16_t every = WHOLE(4);
  int16_t across = along((int16_t)-WHOLE(3), WHOLE(2), x, y);
  int16_t behind = (int16_t)((on - along(WHOLE(2), WHOLE(3), x, y) - (across < 0 ? -across : across)) % every);
  if (behind < 0) {
    behind = (int16_t)(behind + every);
  }
  return behind < every / 2 ? NUMBER(0) : NUMBER(1);
}

#endif

#ifdef NEARNESS

APART static uint32_t away(int16_t dx, int16_t dy, int16_t dz) {
  return (uint32_t)((int32_t)dx * dx) + (uint32_t)((int32_t)dy * dy) + (uint32_t)((int32_t)dz * dz);
}

APART static uint8_t nearness(uint32_t square, uint32_t most) { return (uint8_t)(square >= most ? 0 : FULL - square * FULL / most); }

#endif

#ifdef BUBBLES

/* The nearest one is the brightest. */
static uint8_t in_bubbles(const uint32_t *number, uint8_t mover) {
  uint32_t most = (uint32_t)WORD(3) * WORD(3);
  uint32_t least = most;
  uint8_t left = SMALL(2);
  for (; left; left--, mover++) {
    uint32_t square = away((int16_t)(x_at - mover_x[mover]), (int16_t)(y_at - mover_y[mover]), 0);
    least = square < least ? square : least;
  }
  return nearness(least, most);
}

#endif

#ifdef RAIN

static uint8_t in_rain(const uint32_t *number, uint8_t mover) {
  int16_t tail = WHOLE(3);
  uint8_t most = 0;
  uint8_t left = SMALL(2);
  for (; left; left--, mover++) {
    int16_t behind = (int16_t)(mover_y[mover] - y_at);
    int16_t beside = (int16_t)(x_at - mover_x[mover]);
    if (beside < 0) {
      beside = (int16_t)-beside;
    }
    if (behind >= 0 && behind < tail && beside < 64) {
      uint8_t level = (uint8_t)(FULL - (uint32_t)(uint16_t)behind * FULL / (uint16_t)tail);
      level = (uint8_t)((uint16_t)(level * (uint8_t)(64 - beside)) >> 6);
      most = level > most ? level : most;
    }
  }
  return most;
}

#endif

#ifdef FIREFLIES

static uint8_t in_fireflies(const uint32_t *number, uint8_t mover) {
  uint32_t reach = (uint32_t)WORD(3) * WORD(3);
  uint8_t most = 0;
  uint8_t left = SMALL(2);
  for (; left; left--, mover++) {
    uint8_t glow = mover_glow[mover];
    if (glow > most) {
      uint32_t square = away((int16_t)(x_at - mover_x[mover]), (int16_t)(y_at - mover_y[mover]), (int16_t)(z_at - mover_z[mover]));
      uint8_t level = share_of(nearness(square, reach), glow);
      most = level > most ? level : most;
    }
  }
  return most;
}

#endif

static uint32_t colour_of(uint8_t kind, const uint32_t *number, uint32_t common) {
  (void)number;
  switch (kind) {
#ifdef EMBER
    case IS_EMBER:
      return ember(number);
#endif
#ifdef SPARKLE
    case IS_SPARKLE:
      return sparkle(number);
#endif
#ifdef CHASE
    case IS_CHASE:
      return chase(number, common);
#endif
#ifdef WAVE
    case IS_WAVE:
      return mix(NUMBER(5), NUMBER(4), raised(phase(number)));
#endif
#ifdef SWEEP
    case IS_SWEEP:
      return sweep(number, (uint16_t)common);
#endif
#ifdef RAINBOW
    case IS_RAINBOW:
      return mix(0, hue((uint8_t)(phase(number) >> 8)), SMALL(4));
#endif
#ifdef PLASMA
    case IS_PLASMA:
      return plasma(number);
#endif
#ifdef RIPPLES
    case IS_RIPPLES:
      return ripples(number);
#endif
#ifdef FILL
    case IS_FILL:
      return fill(number, (int16_t)common);
#endif
#ifdef ARROWS
    case IS_ARROWS:
      return arrows(number, (int16_t)common);
#endif
#ifdef BUBBLES
    case IS_BUBBLES:
      return mix(NUMBER(1), NUMBER(0), in_bubbles(number, (uint8_t)common));
#endif
#ifdef RAIN
    case IS_RAIN:
      return mix(NUMBER(1), NUMBER(0), in_rain(number, (uint8_t)common));
#endif
#ifdef FIREFLIES
    case IS_FIREFLIES:
      return mix(NUMBER(1), NUMBER(0), in_fireflies(number, (uint8_t)common));
#endif
#ifdef LIFE
    case IS_LIFE:
      return lives(cells + (uint16_t)common, cell_at) ? NUMBER(0) : NUMBER(1);
#endif
    default:
      return common; /* one tone for all */
  }
}

/* layers over each other */

#ifdef BLENDS

static uint8_t channel(uint8_t how, uint8_t below_it, uint8_t above) {
  switch (how) {
    case COMES_ADD: {
      uint16_t sum = (uint16_t)(below_it + above);
      return (uint8_t)(sum > FULL ? FULL : sum);
    }
    case COMES_LIGHTEN:
      return below_it > above ? below_it : above;
    case COMES_DARKEN:
      return below_it < above ? below_it : above;
    case COMES_MASK:
      return by_full((uint16_t)((uint16_t)below_it * above + 127u));
    default:
      return above;
  }
}

static uint32_t blend(uint8_t how, uint32_t below_it, uint32_t above) {
  return tone(channel(how, (uint8_t)(below_it >> 16), (uint8_t)(above >> 16)),
              channel(how, (uint8_t)(below_it >> 8), (uint8_t)(above >> 8)), channel(how, (uint8_t)below_it, (uint8_t)above));
}

#endif

APART static uint32_t picture(void) {
  uint16_t layer = READ_WORD(&program_first_layer[program]);
  uint8_t left = READ_BYTE(&program_layers[program]);
  uint32_t colour = 0;
#ifdef SHARED
  const uint32_t *common_to_all = shared;
#endif
  for (; left; left--, layer++) {
    const uint32_t *number = numbers + READ_WORD(&layer_first_number[layer]);
#ifdef SHARED
    uint32_t own = colour_of(READ_BYTE(&layer_kind[layer]), number, *common_to_all++);
#else
    uint32_t own = colour_of(READ_BYTE(&layer_kind[layer]), number, 0);
#endif
#ifdef BLENDS
    own = blend(READ_BYTE(&layer_blend[layer]), colour, own);
#endif
    {
      uint8_t share = READ_BYTE(&layer_share[layer]);
      colour = share == FULL ? own : mix(colour, own, share);
    }
  }
  return colour;
}

void effect_begin(uint8_t which, uint16_t frame) {
  program = which;
#ifdef LIFE
  frame_at = frame;
#endif
  turn = (uint16_t)(((uint32_t)frame << 16) / READ_WORD(&program_frames[which]));
  width = (int16_t)READ_WORD(&program_width[which]);
  height = (int16_t)READ_WORD(&program_height[which]);
  depth = (int16_t)READ_WORD(&program_depth[which]);
#ifdef SHARED
  {
    uint16_t layer = READ_WORD(&program_first_layer[which]);
    uint8_t left = READ_BYTE(&program_layers[which]);
    uint32_t *into = shared;
#ifdef MOVERS
    movers = 0;
#endif
    for (; left; left--, layer++) {
      *into++ = common(READ_BYTE(&layer_kind[layer]), numbers + READ_WORD(&layer_first_number[layer]));
    }
  }
#endif
#ifdef FLATS
  flat = READ_BYTE(&program_flat[which]);
  if (flat) {
    flat_colour = picture();
  }
#endif
}

/* from a colour to what its pixel is sent */

APART static uint8_t least_of(uint32_t colour) {
  uint8_t least = (uint8_t)(colour >> 16);
  least = (uint8_t)(colour >> 8) < least ? (uint8_t)(colour >> 8) : least;
  return (uint8_t)colour < least ? (uint8_t)colour : least;
}

static uint8_t most_of(uint32_t colour) {
  uint8_t most = (uint8_t)(colour >> 16);
  most = (uint8_t)(colour >> 8) > most ? (uint8_t)(colour >> 8) : most;
  return (uint8_t)colour > most ? (uint8_t)colour : most;
}

static uint8_t asked(uint32_t colour, uint8_t asks) {
  switch (asks) {
    case ASKS_RED:
    case ASKS_RED_REST:
      return (uint8_t)(colour >> 16);
    case ASKS_GREEN:
    case ASKS_GREEN_REST:
      return (uint8_t)(colour >> 8);
    case ASKS_BLUE:
    case ASKS_BLUE_REST:
      return (uint8_t)colour;
    case ASKS_WHITE:
      return least_of(colour);
    case ASKS_MOST:
      return most_of(colour);
    default:
      return 0;
  }
}

static uint32_t place_of(uint16_t pixel) {
  return READ_LONG(&places_of_pixels[(uint16_t)(READ_WORD(&program_first_pixel[program]) + pixel)]);
}

static uint32_t colour_at(uint16_t pixel) {
  uint32_t place = place_of(pixel);
  if (place == NO_PLACE) {
    return 0;
  }
  x_at = (int16_t)((uint16_t)place & 0x3ffu);
  y_at = (int16_t)((uint16_t)(place >> 10) & 0x3ffu);
  z_at = (int16_t)(place >> 20);
#ifdef LIFE
  cell_at = READ_WORD(&cell_of_pixels[(uint16_t)(READ_WORD(&program_first_pixel[program]) + pixel)]);
#endif
#ifdef INDEXED
  index_at = READ_WORD(&index_of_pixels[(uint16_t)(READ_WORD(&program_first_pixel[program]) + pixel)]);
#else
  index_at = pixel;
#endif
  return picture();
}

uint8_t effect_unit(uint16_t pixel, uint8_t *levels) {
  uint16_t channel = READ_WORD(&program_first_channel[program]);
  uint8_t left = READ_BYTE(&program_channels[program]);
  const level_t *level = levels_of_asked + READ_WORD(&program_first_level[program]);
  uint32_t colour;
  uint8_t bytes = 0;
  if (!(pixel & PASS_MASK)) {
    PASS();
  }
#ifdef FLATS
  if (flat) {
    colour = flat == FLAT_IN_PART && place_of(pixel) == NO_PLACE ? 0 : flat_colour;
  } else {
    colour = colour_at(pixel);
  }
#else
  colour = colour_at(pixel);
#endif
  for (; left; left--, channel++) {
    uint8_t asks = READ_BYTE(&channel_asks[channel]);
    level_t value = READ_LEVEL(level + asked(colour, asks));
    if (asks >= ASKS_RED_REST && asks <= ASKS_BLUE_REST) {
      value = (level_t)(value - READ_LEVEL(level + least_of(colour)));
    }
#ifdef DEEP_PROGRAMS
    if (READ_BYTE(&program_deep[program])) {
      levels[bytes++] = (uint8_t)(value >> 8);
    }
#endif
    levels[bytes++] = (uint8_t)value;
  }
  return bytes;
}
