/* Asks the Lensfun library itself what it makes of a database file.
   gains FILE CAMERA_MAKER CAMERA LENS_MAKER LENS WIDTH HEIGHT: then lines "focal aperture distance x y" on standard
   input, x and y in pixels; answers one gain a line. */
#include <lensfun/lensfun.h>
#include <stdio.h>
#include <stdlib.h>

int main(int argc, char **argv) {
  if (argc != 8) return 2;
  lfDatabase *db = lf_db_new();
  if (lf_db_load_file(db, argv[1]) != LF_NO_ERROR) {
    puts("not loaded");
    return 1;
  }
  const lfCamera **cameras = lf_db_find_cameras(db, argv[2], argv[3]);
  if (!cameras) {
    puts("no camera");
    return 1;
  }
  const lfLens **lenses = lf_db_find_lenses_hd(db, cameras[0], argv[4], argv[5], 0);
  if (!lenses) {
    puts("no lens");
    return 1;
  }
  int width = atoi(argv[6]), height = atoi(argv[7]);
  float focal, aperture, distance, x, y;
  while (scanf("%f %f %f %f %f", &focal, &aperture, &distance, &x, &y) == 5) {
    lfModifier *modifier = lf_modifier_new(lenses[0], cameras[0]->CropFactor, width, height);
    int done = lf_modifier_initialize(modifier, lenses[0], LF_PF_F32, focal, aperture, distance,
                                      1.0f, LF_RECTILINEAR, LF_MODIFY_VIGNETTING, 0);
    if (!(done & LF_MODIFY_VIGNETTING)) {
      puts("no vignetting");
      return 1;
    }
    float pixel[3] = {1.0f, 1.0f, 1.0f};
    lf_modifier_apply_color_modification(modifier, pixel, x, y, 1, 1,
                                         LF_CR_3(RED, GREEN, BLUE), sizeof(pixel));
    printf("%.7f\n", pixel[1]);
    lf_modifier_destroy(modifier);
  }
  return 0;
}
