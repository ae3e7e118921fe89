/**
 * How the stand is lit, in the shading language of the graphics library: soft daylight from the left, a paler light from
 * behind that comes through film, and the sky over all. The light stays with the viewer while the stand turns.
 */

/** Corners: place and normal in the space of the cake, colour as light with its cover, and how light lies on it. */
export const CORNER_SHADER = `
in vec4 colour;
in vec3 traits;
out vec3 at;
out vec3 facing;
out vec4 own;
flat out vec3 matter;
void main() {
  at = position;
  facing = normal;
  own = colour;
  matter = traits;
  gl_Position = projectionMatrix * viewMatrix * vec4(position, 1.0);
}`

/** With PLAIN defined: no shadows and only the light that is quick to reckon, for while the stand moves. */
export const POINT_SHADER = `
precision highp float;
precision highp sampler2D;
in vec3 at;
in vec3 facing;
in vec4 own;
flat in vec3 matter;
out vec4 seen;
uniform vec3 toEye;
uniform vec3 halfway;
uniform vec3 sun;
uniform vec3 behind;
uniform bool isNeutral;
uniform sampler2D shade;
uniform mat4 shadeFrom;
uniform float shadeTexel;

const vec3 SUN = vec3(1.0, 0.965, 0.91) * 0.82;
const vec3 SKY = vec3(0.93, 0.96, 1.0) * 0.62;
const vec3 TABLE = vec3(1.0, 0.95, 0.9) * 0.4;
const vec3 BEHIND = vec3(0.9, 0.94, 1.0) * 0.34;
const float COMB_MM = 6.0;

/** Light as a screen shows it; within half a step of 255 of the exact curve, and quicker. */
vec3 asScreen(vec3 c) {
  vec3 once = sqrt(c);
  vec3 twice = sqrt(once);
  return 0.662002687 * once + 0.684122060 * twice - 0.323583601 * sqrt(twice) - 0.0225411470 * c;
}

#ifdef PLAIN
float reachedBySun(vec3 n) {
  return 1.0;
}
#else
float chance(vec2 p) {
  return fract(52.9829189 * fract(dot(p, vec2(0.06711056, 0.00583715))));
}
/** How much of the sun reaches a point: soft at the edge of a shadow. */
float reachedBySun(vec3 n) {
  if (own.a < 0.5) return 1.0;
  vec4 from = shadeFrom * vec4(at + n * 1.6, 1.0);
  vec3 place = from.xyz * 0.5 + 0.5;
  float turn = chance(gl_FragCoord.xy) * 6.2831853;
  float reached = 0.0;
  for (int tap = 0; tap < 12; tap += 1) {
    float angle = turn + float(tap) * 2.39996;
    vec2 aside = vec2(cos(angle), sin(angle)) * sqrt((float(tap) + 0.5) / 12.0) * 6.0 * shadeTexel;
    reached += step(place.z - 0.0016, texture(shade, place.xy + aside).r);
  }
  return reached / 12.0;
}
#endif

float bump(vec3 p) {
  return sin(p.x * 0.31 + 1.7 * sin(p.z * 0.23)) * sin(p.y * 0.29 + 1.3 * sin(p.x * 0.19)) * sin(p.z * 0.37 + p.y * 0.11);
}

void main() {
  vec3 colour = own.rgb;
  vec3 n = normalize(facing);
  vec3 flatWay = cross(dFdx(at), dFdy(at));
  if (dot(flatWay, toEye) * dot(n, flatWay) < 0.0) n = -n;
  float facingEye = max(dot(n, toEye), 0.0);
  if (isNeutral) {
    seen = vec4(asScreen(colour) * (0.84 + 0.16 * facingEye) * own.a, own.a);
    return;
  }
  float gloss = matter.x;
  float thin = matter.y;
#ifndef PLAIN
  if (matter.z > 0.75) n = normalize(n + 0.3 * vec3(bump(at), bump(at.yzx + 31.0), bump(at.zxy + 57.0)));
  else if (matter.z > 0.25 && abs(n.z) < 0.7) n = normalize(n + vec3(0.0, 0.0, 0.28 * cos(at.z * 6.2831853 / COMB_MM)));
#endif
  float reached = reachedBySun(n);
  float towards = dot(n, sun);
  float fromBehind = dot(n, behind);
  vec3 light = mix(TABLE, SKY, n.z * 0.5 + 0.5) + SUN * max(towards, 0.0) * reached + BEHIND * max(fromBehind, 0.0);
  vec3 through = thin * (0.75 * colour + 0.25)
    * (SUN * 0.55 * max(-towards, 0.0) * (0.35 + 0.65 * reached) + BEHIND * max(-fromBehind, 0.0));
  float edge = 1.0 - facingEye;
  edge = edge * edge * edge;
  vec3 all = colour * (light + through) + thin * gloss * edge * 0.22;
  float shining = max(dot(n, halfway), 0.0);
#ifdef PLAIN
  shining *= shining;
  shining *= shining;
  shining *= shining;
  all += SUN * (gloss * shining * shining * 0.3);
#else
  all += SUN * (gloss * pow(shining, mix(10.0, 70.0, gloss)) * reached * 0.55);
#endif
  // What is too bright for the screen is led softly to white, without changing its hue.
  float most = max(all.r, max(all.g, all.b));
  if (most > 0.8) all *= (1.0 - 0.2 * exp(4.0 - most * 5.0)) / most;
  float cover = min(1.0, own.a + (own.a > 0.5 ? edge * 0.3 : 0.0));
  seen = vec4(asScreen(all) * cover, cover);
}`

/** What throws a shadow: depth alone. Shades throw none. */
export const SHADOW_POINT_SHADER = `
precision highp float;
in vec4 own;
void main() {
  if (own.a < 0.5) discard;
}`

export const COPY_CORNER_SHADER = `
out vec2 place;
void main() {
  place = position.xy * 0.5 + 0.5;
  gl_Position = vec4(position.xy, 0.0, 1.0);
}`
export const COPY_POINT_SHADER = `
precision highp float;
in vec2 place;
out vec4 seen;
uniform sampler2D picture;
void main() {
  seen = texture(picture, place);
}`
