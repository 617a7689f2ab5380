"use client";

import { Button, Slider } from "antd";
import { useEffect, useState } from "react";
import Cropper, { type Area } from "react-easy-crop";
import "react-easy-crop/react-easy-crop.css";
import type { Picture } from "../../core/rulebook/requirement";
import type { Locale } from "../../core/text/local-text";
import { sentence } from "../../text/sentence";

const CLOSEST = 4;
const QUALITY = 0.92;

/** The chosen part of a picture as a JPEG of the size that is asked for; never larger than what was chosen. */
async function cut(source: string, area: Area, { width, height }: Picture, name: string): Promise<File | null> {
  const image = new Image();
  image.src = source;
  await image.decode();
  const canvas = document.createElement("canvas");
  const scale = Math.min(1, area.width / width);
  canvas.width = Math.round(width * scale);
  canvas.height = Math.round(height * scale);
  canvas.getContext("2d")?.drawImage(image, area.x, area.y, area.width, area.height, 0, 0, canvas.width, canvas.height);
  const blob = await new Promise<Blob | null>((resolve) => canvas.toBlob(resolve, "image/jpeg", QUALITY));
  return blob && new File([blob], `${name.replace(/\.[^.]+$/u, "")}.jpg`, { type: "image/jpeg" });
}

/** Chooses the part of a picture that is sent: moved by pointer, finger or arrow keys, and brought closer. */
export default function CropPicture({
  file,
  picture,
  locale,
  onCut,
  onLeave,
}: {
  file: File;
  picture: Picture;
  locale: Locale;
  onCut: (file: File) => void;
  onLeave: () => void;
}) {
  const [source, setSource] = useState<string | null>(null);
  const [place, setPlace] = useState({ x: 0, y: 0 });
  const [zoom, setZoom] = useState(1);
  const [area, setArea] = useState<Area | null>(null);
  useEffect(() => {
    const url = URL.createObjectURL(file);
    setSource(url);
    return () => URL.revokeObjectURL(url);
  }, [file]);
  if (!source) return null;
  // Whatever goes wrong here, the picture itself is sent: the server brings it to its size around its middle.
  const use = async () => area && onCut((await cut(source, area, picture, file.name).catch(() => null)) ?? file);
  return (
    <div className="crop">
      <p className="quiet">{sentence(locale, "doc.crop")}</p>
      <div className="crop-frame">
        <Cropper
          image={source}
          crop={place}
          zoom={zoom}
          maxZoom={CLOSEST}
          aspect={picture.width / picture.height}
          onCropChange={setPlace}
          onZoomChange={setZoom}
          onCropComplete={(_, pixels) => setArea(pixels)}
          disableAutomaticStylesInjection
        />
      </div>
      <Slider
        min={1}
        max={CLOSEST}
        step={0.05}
        value={zoom}
        onChange={setZoom}
        ariaLabelForHandle={sentence(locale, "doc.zoom")}
      />
      <div className="presses">
        <Button type="primary" disabled={!area} onClick={() => void use()}>
          {sentence(locale, "doc.useCrop")}
        </Button>
        <Button onClick={onLeave}>{sentence(locale, "doc.noCrop")}</Button>
      </div>
    </div>
  );
}
