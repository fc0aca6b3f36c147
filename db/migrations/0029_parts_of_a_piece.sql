-- A piece has as many fillings, washes and toppings as it needs, each with its moment.
UPDATE product_version SET body = JSON_REMOVE(
    JSON_SET(body, '$.piece.fillings', JSON_ARRAY(JSON_EXTRACT(body, '$.piece.filling'))), '$.piece.filling')
  WHERE JSON_EXISTS(body, '$.piece.filling');
UPDATE product_version SET body = JSON_REMOVE(
    JSON_SET(body, '$.piece.washes', JSON_ARRAY(
      JSON_SET(JSON_EXTRACT(body, '$.piece.wash'), '$.moment', 'proofed'))), '$.piece.wash')
  WHERE JSON_EXISTS(body, '$.piece.wash');
UPDATE product_version SET body = JSON_REMOVE(
    JSON_SET(body, '$.piece.toppings', JSON_ARRAY(
      JSON_REMOVE(JSON_SET(JSON_EXTRACT(body, '$.piece.topping'),
        '$.name', JSON_VALUE(body, '$.piece.topping.mark'), '$.moment', 'proofed'), '$.mark'))), '$.piece.topping')
  WHERE JSON_EXISTS(body, '$.piece.topping');
