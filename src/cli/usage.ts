export const KEEPING_USAGE = `       bricolage export SHOP.sqlite OUT.zip
       bricolage restore SHOP.zip|COPY-FOLDER NEW.sqlite
Writes a whole shop as one zip, and makes a shop in a new place from a zip or from the folder of a copy.`;
