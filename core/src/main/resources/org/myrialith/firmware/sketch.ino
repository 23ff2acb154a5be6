// @TITLE@: @WHAT@. Open this folder, choose the board, upload.
// The board has to run at @CLOCK@. Timer @TIMER@ is taken.

extern "C" {
void board_start(void);
void player_step(void);
}

void setup() { board_start(); }

void loop() { player_step(); }
