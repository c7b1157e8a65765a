-- A reading that lies wholly inside the limits proves them too.
ALTER TABLE readings MODIFY proof ENUM('pair', 'drag', 'interval') NULL;
