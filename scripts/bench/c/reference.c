/* The plain C the core is measured against: the same algorithms, one thread, the same random numbers.
   Reads a task's name; runs it warm and prints the median milliseconds of 20 and a result to compare. */
#include <math.h>
#include <stdint.h>
#include <stdio.h>
#include <stdlib.h>
#include <string.h>
#include <time.h>

static double now_ms(void) {
  struct timespec t;
  clock_gettime(CLOCK_MONOTONIC, &t);
  return t.tv_sec * 1e3 + t.tv_nsec / 1e6;
}
static int by_value(const void *a, const void *b) {
  double x = *(const double *)a, y = *(const double *)b;
  return (x > y) - (x < y);
}

/* sfc32, seeded through splitmix32 */
typedef struct { uint32_t a, b, c, counter; } stream;
static uint32_t split_state;
static uint32_t split(void) {
  split_state += 0x9e3779b9u;
  uint32_t z = split_state ^ (split_state >> 16);
  z *= 0x21f0aaadu;
  z ^= z >> 15;
  z *= 0x735a2d97u;
  return z ^ (z >> 15);
}
static double next_random(stream *s) {
  uint32_t sum = s->a + s->b + s->counter;
  s->counter++;
  s->a = s->b ^ (s->b >> 9);
  s->b = s->c + (s->c << 3);
  s->c = ((s->c << 21) | (s->c >> 11)) + sum;
  return sum / 4294967296.0;
}
static void seed_stream(stream *s, uint32_t seed) {
  split_state = seed;
  s->a = split();
  s->b = split();
  s->c = split();
  s->counter = 1;
  for (int i = 0; i < 12; i++) next_random(s);
}

/* ---- pest.clearance ---- */
typedef struct { double *at; int length, room; } times;
static void push(times *t, double value) {
  if (t->length == t->room) {
    t->room = t->room ? 2 * t->room : 1024;
    t->at = realloc(t->at, t->room * sizeof(double));
  }
  t->at[t->length++] = value;
}
static times eggs, juveniles, ripe, begins, hatching;
static int adults;
static double hatch_min, hatch_span, mature_min, mature_span, lay_per_hour;
static int cap;

static int grown;
static void hatch_at(stream *s, double hatch, double to) {
  double mature = hatch + mature_min + mature_span * next_random(s);
  if (mature >= to) push(&juveniles, mature);
  else { grown++; push(&ripe, mature); }
}
static int live(double from, double to, stream *s) {
  int gross = eggs.length + juveniles.length + adults, before = adults, kept = 0;
  grown = 0;
  ripe.length = begins.length = hatching.length = 0;
  for (int i = 0, n = juveniles.length; i < n; i++) {
    double mature = juveniles.at[i];
    if (mature >= to) juveniles.at[kept++] = mature;
    else { grown++; push(&ripe, mature); }
  }
  juveniles.length = kept;
  kept = 0;
  for (int i = 0, n = eggs.length; i < n; i++) {
    double hatch = eggs.at[i];
    if (hatch >= to) eggs.at[kept++] = hatch;
    else push(&hatching, hatch);
  }
  eggs.length = kept;
  for (int i = 0; i < hatching.length; i++) hatch_at(s, hatching.at[i], to);
  for (int i = 0; i < ripe.length; i++) push(&begins, ripe.at[i]);
  for (int i = 0; i < before; i++) push(&begins, from);
  for (int i = 0; i < begins.length; i++) {
    ripe.length = 0;
    double time = begins.at[i];
    for (;;) {
      for (;;) {
        time -= log(1 - next_random(s)) / lay_per_hour;
        if (time >= to) break;
        gross++;
        double hatch = time + hatch_min + hatch_span * next_random(s);
        if (hatch >= to) push(&eggs, hatch);
        else hatch_at(s, hatch, to);
        if (gross > cap) return -1;
      }
      if (ripe.length == 0) break;
      time = ripe.at[--ripe.length];
    }
  }
  adults = before + grown;
  return gross;
}
static void dip(times *t, double dies, stream *s) {
  int kept = 0;
  for (int i = 0; i < t->length; i++)
    if (next_random(s) >= dies) t->at[kept++] = t->at[i];
  t->length = kept;
}
static double pest_clearance(void) {
  static const double dips[] = {0, 144, 288};
  const double kill = 0.95, remove = 0.1, horizon = 700;
  const int runs = 4000;
  hatch_min = 120; hatch_span = 120; mature_min = 168; mature_span = 72; lay_per_hour = 2 / 24.0; cap = 5000;
  stream s;
  seed_stream(&s, 7);
  int cleared = 0;
  for (int run = 0; run < runs; run++) {
    eggs.length = juveniles.length = 0;
    adults = 10;
    for (int i = 0; i < 20; i++) push(&eggs, hatch_min + hatch_span * next_random(&s));
    double at = 0;
    int stopped = 0;
    for (int i = 0; i <= 3; i++) {
      double to = i < 3 ? dips[i] : horizon;
      if (to > at) {
        if (live(at, to, &s) < 0) { stopped = 1; break; }
        at = to;
      }
      if (i == 3) break;
      dip(&eggs, remove, &s);
      dip(&juveniles, kill, &s);
      int left = 0;
      for (int j = 0; j < adults; j++) if (next_random(&s) >= kill) left++;
      adults = left;
    }
    if (!stopped && eggs.length + juveniles.length + adults == 0) cleared++;
  }
  return cleared / (double)runs;
}

/* ---- course.risk ---- */
static double erfc_series(double x) {
  if (x < 0) return 2 - erfc_series(-x);
  if (x < 2.5) {
    double term = x, sum = x;
    for (int n = 1; n < 200 && fabs(term) > 1e-17 * fabs(sum); n++) {
      term *= (-x * x) / n;
      sum += term / (2 * n + 1);
    }
    return 1 - (2 / sqrt(M_PI)) * sum;
  }
  if (x > 27) return 0;
  double tail = x;
  for (int n = 120; n >= 1; n--) tail = x + n / 2.0 / tail;
  return exp(-x * x) / sqrt(M_PI) / tail;
}
static double normal_cdf(double z) { return erfc_series(-z / M_SQRT2) / 2; }
static double ln_cdf(double x, double median, double sd) { return x <= 0 ? 0 : normal_cdf(log(x / median) / sd); }
static double ln_tail(double x, double median, double sd) { return x <= 0 ? 1 : normal_cdf(-log(x / median) / sd); }

static double windows[][2] = {{42, 120}, {133.5, 360}};
static const int window_count = 2;
static double moves[] = {360};
static const int move_count = 1;
static const double host_median = 120, host_sd = 0.25, cyst_min = 72, cyst_median = 72, cyst_sd = 0.75;

static double hatched_by(double hours) { return ln_cdf(hours - cyst_min, cyst_median, cyst_sd); }
static double comes_back(double leaves) {
  double moved = INFINITY;
  for (int i = 0; i < move_count; i++) if (moves[i] > leaves) { moved = moves[i]; break; }
  double until = isinf(moved) ? 1 : hatched_by(moved - leaves), shielded = 0;
  for (int i = 0; i < window_count; i++) {
    double from = windows[i][0], to = windows[i][1];
    if (to <= leaves) continue;
    if (from >= moved) break;
    shielded += (to >= moved ? until : hatched_by(to - leaves)) - hatched_by(fmax(0, from - leaves));
  }
  return fmax(0, until - shielded);
}
static double course_risk(void) {
  static const double scale[] = {-6, -4.5, -3, -2, -1.2, -0.6, 0, 0.6, 1.2, 2, 3, 4.5, 6};
  static const double nodes[] = {0.1834346424956498, 0.525532409916329, 0.7966664774136267, 0.9602898564975363};
  static const double weights[] = {0.362683783378362, 0.3137066458778873, 0.2223810344533745, 0.1012285362903763};
  double mean = host_median * exp(host_sd * host_sd / 2), longest = host_median * exp(9 * host_sd + host_sd * host_sd);
  double cuts[200], edges[5];
  int n = 0, edge_count = 0;
#define CUT(value) do { double v = (value); if (v > 0 && v < longest) cuts[n++] = v; } while (0)
  cuts[n++] = 0;
  cuts[n++] = longest;
  for (int i = 0; i < 13; i++) CUT(host_median * exp(scale[i] * host_sd));
  for (int i = 0; i < move_count; i++) edges[edge_count++] = moves[i];
  for (int i = 0; i < window_count; i++) { edges[edge_count++] = windows[i][0]; edges[edge_count++] = windows[i][1]; }
  for (int e = 0; e < edge_count; e++) {
    CUT(edges[e]);
    CUT(edges[e] - cyst_min);
    for (int i = 0; i < 13; i++) CUT(edges[e] - cyst_min - cyst_median * exp(scale[i] * cyst_sd));
  }
  qsort(cuts, n, sizeof(double), by_value);
  double sum = 0;
  for (int i = 0; i + 1 < n; i++) {
    double half = (cuts[i + 1] - cuts[i]) / 2;
    if (half <= 0) continue;
    double middle = cuts[i] + half;
    for (int j = 0; j < 4; j++)
      for (int sign = -1; sign <= 1; sign += 2) {
        double x = middle + sign * half * nodes[j];
        sum += weights[j] * half * (ln_tail(x, host_median, host_sd) / mean) * comes_back(x);
      }
  }
  return 0.3 * sum;
}

/* ---- concentration.fit ---- */
typedef struct { double at; int dose; double value; } event;
static event fit_events[64];
static double reading_at[64], reading_value[64], reading_sd[64];
static int event_count, reading_count;
static void make_fit_case(void) {
  event_count = reading_count = 0;
  for (int i = 0; i < 6; i++) fit_events[event_count++] = (event){24.0 * i, 1, i < 4 ? 30 : 15};
  fit_events[event_count++] = (event){24.0 * 6, 0, 0.2};
  for (int i = 0; i < 30; i++) {
    reading_at[reading_count] = 14 + 24.0 * i;
    reading_value[reading_count] = fmin(2.2, 0.5 * (i + 1)) - 0.004 * i + (i % 3 - 1) * 0.03;
    reading_sd[reading_count++] = 0.08;
  }
}
typedef struct { double cost, g0, g1, h0, h1, h2; } fit_state;
static const double start_level = 0, prior_v = 60, prior_v_sd = 0.1, prior_h = 720, prior_h_sd = 0.8;
static fit_state evaluate(double lv, double lh) {
  double cv = log(prior_v), ch = log(prior_h), w0 = 1 / (prior_v_sd * prior_v_sd), w1 = 1 / (prior_h_sd * prior_h_sd);
  double volume = exp(lv), rate = M_LN2 / exp(lh), base = start_level, dosed = 0, base_r = 0, dosed_r = 0, at = 0;
  int next = 0;
  double o0 = lv - cv, o1 = lh - ch;
  fit_state s = {(o0 * o0 * w0 + o1 * o1 * w1) / 2, o0 * w0, o1 * w1, w0, 0, w1};
#define PASS(until) do { double hours = (until) - at, left = exp(-rate * hours); \
    base_r = (base_r - hours * base) * left; dosed_r = (dosed_r - hours * dosed) * left; \
    base *= left; dosed *= left; at = (until); } while (0)
  for (int i = 0; i < reading_count; i++) {
    for (; next < event_count && fit_events[next].at < reading_at[i]; next++) {
      PASS(fit_events[next].at);
      if (fit_events[next].dose) dosed += fit_events[next].value;
      else { double kept = 1 - fit_events[next].value; base *= kept; base_r *= kept; dosed *= kept; dosed_r *= kept; }
    }
    PASS(reading_at[i]);
    double level = base + dosed / volume, bv = -dosed / volume, bh = (base_r + dosed_r / volume) * -rate;
    double weight = 1 / (reading_sd[i] * reading_sd[i]), residual = level - reading_value[i];
    s.cost += residual * residual * weight / 2;
    s.g0 += residual * bv * weight;
    s.g1 += residual * bh * weight;
    s.h0 += bv * bv * weight;
    s.h1 += bv * bh * weight;
    s.h2 += bh * bh * weight;
  }
  return s;
}
static double concentration_fit(void) {
  static const double starts[] = {0, -1.5, 1.5};
  double best_cost = INFINITY, best = 0;
  for (int k = 0; k < 3; k++) {
    double v = log(prior_v), h = log(prior_h) + starts[k] * prior_h_sd, damping = 1e-4;
    fit_state s = evaluate(v, h);
    for (int i = 0; i < 200; i++) {
      double a = s.h0 * (1 + damping), b = s.h1, c = s.h2 * (1 + damping), det = a * c - b * b;
      double d0 = (-c * s.g0 + b * s.g1) / det, d1 = (b * s.g0 - a * s.g1) / det;
      fit_state tried = evaluate(v + d0, h + d1);
      if (tried.cost <= s.cost) {
        int settled = fabs(d0) + fabs(d1) < 1e-12;
        v += d0;
        h += d1;
        s = tried;
        damping = fmax(damping / 10, 1e-12);
        if (settled) break;
      } else if ((damping *= 10) > 1e12) break;
    }
    if (s.cost < best_cost - 1e-9) { best_cost = s.cost; best = exp(v); }
  }
  return best;
}

int main(int argc, char **argv) {
  if (argc < 3) return 2;
  int times_each = atoi(argv[2]);
  double (*task)(void) = strcmp(argv[1], "pest.clearance") == 0 ? pest_clearance
                         : strcmp(argv[1], "course.risk") == 0 ? course_risk
                                                               : concentration_fit;
  make_fit_case();
  double took[20], result = 0;
  volatile double sink = 0;
  for (int i = 0; i < 3 * times_each; i++) sink += task();
  for (int i = 0; i < 20; i++) {
    double start = now_ms();
    for (int j = 0; j < times_each; j++) sink += result = task();
    took[i] = (now_ms() - start) / times_each;
  }
  qsort(took, 20, sizeof(double), by_value);
  printf("{\"ms\":%.9g,\"result\":%.9g}\n", (took[9] + took[10]) / 2, result);
  return 0;
}
