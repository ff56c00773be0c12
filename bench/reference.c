/*
 * What the machine can do at best: the same captures read by plain C, frame by frame, with lowest, highest and mean per channel.
 * It knows the format beforehand and forgives nothing; it is a measure, not a decoder.
 *
 *   reference s100i|s420c FILE    bytes
 *   reference train-csv|train-vcd FILE    changes of a pulse train, separators low
 *   reference uart-csv FILE    changes of an s100i line
 */
#include <math.h>
#include <stdint.h>
#include <stdio.h>
#include <stdlib.h>
#include <string.h>

#define CHANNELS 16

static double low[CHANNELS], high[CHANNELS], sum[CHANNELS];
static long frames;

static void take(int channel, double value) {
  if (value < low[channel]) low[channel] = value;
  if (value > high[channel]) high[channel] = value;
  sum[channel] += value;
}

static void unpack(const uint8_t *payload) {
  uint32_t held = 0;
  int bits = 0;
  for (int channel = 0; channel < CHANNELS; channel++) {
    while (bits < 11) {
      held |= (uint32_t)*payload++ << bits;
      bits += 8;
    }
    take(channel, 1500 + ((int)(held & 2047) - 992) * 0.625);
    held >>= 11;
    bits -= 11;
  }
  frames++;
}

static uint8_t crc_table[256];

static void make_crc(void) {
  for (int byte = 0; byte < 256; byte++) {
    uint8_t crc = (uint8_t)byte;
    for (int bit = 0; bit < 8; bit++) crc = (uint8_t)(crc & 0x80 ? crc << 1 ^ 0xD5 : crc << 1);
    crc_table[byte] = crc;
  }
}

/* Bytes in any pieces; frames out. */
static uint8_t window[64];
static int held_bytes;

static void push(uint8_t byte, int is_s420c) {
  int size = is_s420c ? 26 : 25;
  window[held_bytes++] = byte;
  if (held_bytes < size) return;
  int sound;
  if (is_s420c) {
    uint8_t crc = 0;
    for (int k = 2; k < 25; k++) crc = crc_table[crc ^ window[k]];
    sound = window[0] == 0xC8 && window[1] == 24 && window[2] == 0x16 && window[25] == crc;
  } else {
    sound = window[0] == 0x0F && window[24] == 0;
  }
  if (sound) {
    unpack(window + (is_s420c ? 3 : 1));
    held_bytes = 0;
  } else {
    memmove(window, window + 1, (size_t)--held_bytes);
  }
}

static double lead = -1;
static int channel;

static void train_edge(double us, int level) {
  if (level != 0) return;
  if (lead >= 0) {
    double width = us - lead;
    if (width > 3000) {
      frames++;
      channel = 0;
    } else if (channel < CHANNELS) {
      take(channel++, width);
    }
  }
  lead = us;
}

/* 8E2, idling low: bits from the start bit on. */
static double start = -1;
static unsigned bits_held;
static int decided;

static void uart_edge(double us, int level) {
  if (start < 0) {
    if (level == 1) {
      start = us;
      bits_held = 0;
      decided = 0;
    }
    return;
  }
  int bit = (int)((us - start) / 10.0 + 0.5);
  if (level == 1) bits_held |= ((1u << (bit < 11 ? bit : 11)) - 1) & ~((1u << (decided < 11 ? decided : 11)) - 1);
  decided = bit;
  if (bit > 10) {
    push((uint8_t)(bits_held >> 1 & 0xFF), 0);
    start = level == 1 ? us : -1;
    bits_held = 0;
    decided = 0;
  }
}

int main(int count, char **words) {
  if (count != 3) return 2;
  FILE *file = fopen(words[2], "rb");
  if (!file) return 2;
  for (int k = 0; k < CHANNELS; k++) {
    low[k] = 1e9;
    high[k] = -1e9;
  }
  make_crc();
  const char *what = words[1];
  if (what[0] == 's') {
    static uint8_t chunk[65536];
    size_t read;
    int is_s420c = strcmp(what, "s420c") == 0;
    while ((read = fread(chunk, 1, sizeof chunk, file)) > 0)
      for (size_t k = 0; k < read; k++) push(chunk[k], is_s420c);
  } else {
    static char line[256];
    int is_vcd = strstr(what, "vcd") != NULL, is_train = what[0] == 't';
    double us = 0;
    int last = -1;
    while (fgets(line, sizeof line, file)) {
      int level;
      if (is_vcd) {
        if (line[0] == '#') us = strtod(line + 1, NULL) / 1000;
        if (line[0] != '0' && line[0] != '1') continue;
        level = line[0] - '0';
      } else {
        char *end;
        us = strtod(line, &end);
        if (end == line) continue;
        level = end[1] - '0';
      }
      if (last >= 0 && level != last) is_train ? train_edge(us, level) : uart_edge(us, level);
      last = level;
    }
  }
  fclose(file);
  printf("%ld %.3f %.3f %.3f\n", frames, low[0], high[0], frames ? sum[0] / frames : 0);
  return 0;
}
