/** What is said where a picture of a size is asked for, and its part is chosen. */
export const picturesEn = {
  "doc.refused.picture_only": "A picture is asked for here. Choose a JPEG or PNG, not a PDF.",
  "doc.refused.picture_too_small":
    "This picture is too small: it needs at least {width} by {height} pixels. Choose one as your camera took it.",
  "doc.picture": "A picture, {width} by {height} pixels. You choose the part of it.",
  "doc.crop": "Move the picture until the right part stands in the frame. The arrow keys move it, too.",
  "doc.zoom": "Closer",
  "doc.useCrop": "Use this part",
  "doc.noCrop": "Another picture",
} as const;

export const picturesFr: Readonly<Record<keyof typeof picturesEn, string>> = {
  "doc.refused.picture_only": "Une image est demandée ici. Choisissez un JPEG ou un PNG, pas un PDF.",
  "doc.refused.picture_too_small":
    "Cette image est trop petite : il faut au moins {width} × {height} pixels. Choisissez-la telle que prise par l’appareil.",
  "doc.picture": "Une image de {width} × {height} pixels. Vous en choisissez la partie.",
  "doc.crop": "Déplacez l’image jusqu’à ce que la bonne partie soit dans le cadre. Les flèches la déplacent aussi.",
  "doc.zoom": "Plus près",
  "doc.useCrop": "Prendre cette partie",
  "doc.noCrop": "Une autre image",
};
